/** Profile files. */
module dev.patientharbor.notation {
    requires transitive dev.patientharbor.core;
    requires org.snakeyaml.engine;

    exports dev.patientharbor.notation;
}
