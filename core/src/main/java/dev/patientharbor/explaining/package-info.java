/** Stable. Why a need receives what it does, and who receives something. Data alone. */
package dev.patientharbor.explaining;
