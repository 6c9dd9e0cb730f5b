/**
 * Internal: may change. The goals of the Maven plugin: a project's profile file and class path go
 * in, findings, rosters and the page come out. What they show is made by the report and the page.
 */
package dev.patientharbor.maven;
