/**
 * What a survey of compiled code tells: contracts, who asks for them, what is hard-wired, and what
 * reaches outside. Data alone. Stable.
 */
package dev.patientharbor.survey;
