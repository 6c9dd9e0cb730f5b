/** Live objects. */
module dev.patientharbor.rig {
    requires transitive dev.patientharbor.core;
    requires com.fasterxml.jackson.databind;
    requires com.fasterxml.jackson.datatype.jdk8;
    requires com.fasterxml.jackson.datatype.jsr310;

    exports dev.patientharbor.rig;
    exports dev.patientharbor.standins;

    uses dev.patientharbor.standins.StandInMaker;
}
