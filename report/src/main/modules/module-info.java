/** Verdicts and rosters, for people and programs. */
module dev.patientharbor.report {
    requires transitive dev.patientharbor.core;
    requires com.fasterxml.jackson.core;

    exports dev.patientharbor.report;
}
