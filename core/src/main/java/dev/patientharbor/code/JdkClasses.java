package dev.patientharbor.code;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/** Reads classes of the running JDK's modules, each once, when they are first asked for. */
final class JdkClasses {

    private final Map<String, Optional<ClassFacts>> known = new ConcurrentHashMap<>();
    private final FactsRequest request;
    private volatile Map<String, Module> modules;

    JdkClasses(FactsRequest request) {
        this.request = request;
    }

    Optional<ClassFacts> find(String binaryName) {
        // Most names that are asked for are of no package of the JDK, and are not kept.
        Module module = module(ClassFacts.packageOf(binaryName));
        return module == null
                ? Optional.empty()
                : known.computeIfAbsent(binaryName, name -> read(module, name));
    }

    private Module module(String packageName) {
        Module base = Object.class.getModule();
        return base.getPackages().contains(packageName) ? base : modules().get(packageName);
    }

    private Optional<ClassFacts> read(Module module, String binaryName) {
        try (InputStream bytes =
                module.getResourceAsStream(binaryName.replace('.', '/') + ".class")) {
            return bytes == null
                    ? Optional.empty()
                    : Optional.of(ClassFileReader.read(bytes.readAllBytes(), request));
        } catch (IOException fault) {
            throw new UncheckedIOException(
                    "the JDK's class " + binaryName + " cannot be read", fault);
        }
    }

    private Map<String, Module> modules() {
        Map<String, Module> byPackage = modules;
        if (byPackage == null) {
            byPackage = new HashMap<>();
            for (Module module : ModuleLayer.boot().modules()) {
                ClassLoader loader = module.getClassLoader();
                if (loader == null || loader == ClassLoader.getPlatformClassLoader()) {
                    for (String packageName : module.getPackages()) {
                        byPackage.put(packageName, module);
                    }
                }
            }
            modules = byPackage;
        }
        return byPackage;
    }
}
