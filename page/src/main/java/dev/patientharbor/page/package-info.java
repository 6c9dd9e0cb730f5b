/** Internal: may change. What is drawn: the graph of a profile, and the page to look around in. */
package dev.patientharbor.page;
