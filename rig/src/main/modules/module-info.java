/** Live objects. What is generated for a plan stands outside of every module, and calls Bay. */
module dev.patientharbor.rig {
    requires transitive dev.patientharbor.core;
    requires com.fasterxml.jackson.databind;
    requires com.fasterxml.jackson.datatype.jdk8;
    requires com.fasterxml.jackson.datatype.jsr310;
    requires org.objectweb.asm;

    exports dev.patientharbor.rig;
    exports dev.patientharbor.standins;
    exports dev.patientharbor.straight;

    uses dev.patientharbor.standins.StandInMaker;
}
