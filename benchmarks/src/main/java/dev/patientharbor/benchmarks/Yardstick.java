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
import org.objectweb.asm.Opcodes;

/**
 * What cannot be done without: unpacking every class file of some jars and parsing its declarations
 * with the bytecode library, on two threads, once; nothing is kept.
 */
final class Yardstick {

    private static final int THREADS = 2;

    private Yardstick() {}

    static int read(List<Path> jars) {
        return jars.stream().mapToInt(Yardstick::read).sum();
    }

    private static int read(Path file) {
        try (ZipFile jar = new ZipFile(file.toFile())) {
            List<? extends ZipEntry> entries = jar.stream().toList();
            AtomicInteger next = new AtomicInteger();
            AtomicInteger read = new AtomicInteger();
            Runnable work =
                    () -> {
                        for (int i = next.getAndIncrement();
                                i < entries.size();
                                i = next.getAndIncrement()) {
                            parse(jar, entries.get(i));
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

    private static void parse(ZipFile jar, ZipEntry entry) {
        try (InputStream bytes = jar.getInputStream(entry)) {
            new ClassReader(bytes.readAllBytes())
                    .accept(
                            new ClassVisitor(Opcodes.ASM9) {},
                            ClassReader.SKIP_CODE
                                    | ClassReader.SKIP_DEBUG
                                    | ClassReader.SKIP_FRAMES);
        } catch (IOException fault) {
            throw new UncheckedIOException(fault);
        }
    }
}
