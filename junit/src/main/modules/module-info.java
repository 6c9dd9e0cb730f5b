/** The extension for JUnit. */
module dev.patientharbor.junit {
    requires transitive dev.patientharbor.notation;
    requires transitive dev.patientharbor.rig;
    requires transitive org.junit.jupiter.api;

    exports dev.patientharbor.junit;

    opens dev.patientharbor.junit to
            org.junit.platform.commons;
}
