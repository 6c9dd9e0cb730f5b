/** Profiles, said in Java or read elsewhere; who receives what; and what is wrong. */
module dev.patientharbor.core {
    requires org.objectweb.asm;
    requires org.objectweb.asm.tree;
    requires org.objectweb.asm.tree.analysis;

    exports dev.patientharbor.accepting;
    exports dev.patientharbor.check;
    exports dev.patientharbor.comparing;
    exports dev.patientharbor.explaining;
    exports dev.patientharbor.finding;
    exports dev.patientharbor.graph;
    exports dev.patientharbor.observing;
    exports dev.patientharbor.plan;
    exports dev.patientharbor.profiles;
    exports dev.patientharbor.survey;
    exports dev.patientharbor.terms;
    exports dev.patientharbor.watching;
    exports dev.patientharbor.assembly to
            dev.patientharbor.rig;
    exports dev.patientharbor.code to
            dev.patientharbor.notation;
    exports dev.patientharbor.drafting to
            dev.patientharbor.notation;
    exports dev.patientharbor.files to
            dev.patientharbor.notation;
    exports dev.patientharbor.model to
            dev.patientharbor.notation,
            dev.patientharbor.rig;
    exports dev.patientharbor.texts to
            dev.patientharbor.junit,
            dev.patientharbor.notation,
            dev.patientharbor.report,
            dev.patientharbor.rig;
    exports dev.patientharbor.types to
            dev.patientharbor.rig;
    exports dev.patientharbor.values to
            dev.patientharbor.rig;
}
