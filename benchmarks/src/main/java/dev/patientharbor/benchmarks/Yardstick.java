package dev.patientharbor.benchmarks;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/**
 * What cannot be done without: unpacking every class file of some jars and parsing its declarations
 * with the bytecode library, on two threads, once; nothing is kept.
 */
final class Yardstick {

    private static final int THREADS = 2;

    private Yardstick() {}

    static int read(List<Path> jars) {
        int declarations = ClassReader.SKIP_CODE | ClassReader.SKIP_DEBUG | ClassReader.SKIP_FRAMES;
        return jars.stream().mapToInt(jar -> read(jar, declarations)).sum();
    }

    /** The same with the bodies of methods, and the lines in them. */
    static int readBodies(List<Path> jars) {
        return jars.stream().mapToInt(jar -> read(jar, ClassReader.SKIP_FRAMES)).sum();
    }

    private static int read(Path file, int parts) {
        try (ZipFile jar = new ZipFile(file.toFile())) {
            List<? extends ZipEntry> entries = jar.stream().toList();
            AtomicInteger next = new AtomicInteger();
            AtomicInteger read = new AtomicInteger();
            Runnable work =
                    () -> {
                        for (int i = next.getAndIncrement();
                                i < entries.size();
                                i = next.getAndIncrement()) {
                            parse(jar, entries.get(i), parts);
                            read.incrementAndGet();
                        }
                    };
            Thread[] threads = new Thread[THREADS];
            for (int i = 0; i < THREADS; i++) {
                threads[i] = new Thread(work);
                threads[i].start();
            }
            for (Thread thread : threads) {
                thread.join();
            }
            return read.get();
        } catch (IOException fault) {
            throw new UncheckedIOException(fault);
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }

    private static void parse(ZipFile jar, ZipEntry entry, int parts) {
        try (InputStream bytes = jar.getInputStream(entry)) {
            new ClassReader(bytes.readAllBytes()).accept(new BodyVisitor(), parts);
        } catch (IOException fault) {
            throw new UncheckedIOException(fault);
        }
    }

    /** Looks at every instruction, and keeps nothing. */
    private static final class BodyVisitor extends ClassVisitor {
        BodyVisitor() {
            super(Opcodes.ASM9);
        }

        @Override
        public MethodVisitor visitMethod(
                int access, String name, String type, String signature, String[] thrown) {
            return new MethodVisitor(Opcodes.ASM9) {};
        }
    }
}
