package dev.patientharbor.code;

import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.jars.PackedFiles.LookAtBytes;
import java.io.IOException;
import java.util.Optional;

/** One file of the code that can be read. */
interface ClassFile {

    /** The path inside its folder or jar, with {@code /} between. */
    String name();

    /** The place as people read it: {@code lib/port.jar!/gullwing/Rota.class}. */
    String place();

    /** What makes it the same file under several names; empty in a jar. */
    default Optional<Object> identity() {
        return Optional.empty();
    }

    /**
     * What stands in it.
     *
     * @throws IOException if it cannot be read, or is larger than its kind may be
     */
    byte[] bytes(SizeLimit limit) throws IOException;

    /**
     * What somebody sees in it.
     *
     * @throws IOException if it cannot be read, or is larger than its kind may be
     */
    default <T> T look(SizeLimit limit, LookAtBytes<T> look) throws IOException {
        byte[] bytes = bytes(limit);
        return look.at(bytes, bytes.length);
    }
}
