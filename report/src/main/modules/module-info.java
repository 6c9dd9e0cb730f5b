/** Verdicts and rosters, for people and programs. */
module dev.patientharbor.report {
    requires transitive dev.patientharbor.core;
    requires com.fasterxml.jackson.core;
    requires de.siegmar.fastcsv;

    exports dev.patientharbor.report;
}
