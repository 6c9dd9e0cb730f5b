package dev.patientharbor.junit;

import java.util.List;
import org.junit.jupiter.api.extension.Extension;
import org.junit.jupiter.api.extension.TestTemplateInvocationContext;

/** One run of a test that has several. */
record EachRun(String name, TestRun run) implements TestTemplateInvocationContext {

    @Override
    public String getDisplayName(int invocation) {
        return name;
    }

    @Override
    public List<Extension> getAdditionalExtensions() {
        return List.of(new RigExtension(run));
    }
}
