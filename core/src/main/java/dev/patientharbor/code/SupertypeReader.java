package dev.patientharbor.code;

import java.io.ByteArrayInputStream;
import java.io.DataInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Reads what a class extends and implements, and nothing behind it: the constants and the names of
 * the types, with which a class file begins (JVMS 4.1 and 4.4).
 */
final class SupertypeReader {

    private static final byte[] MAGIC = {(byte) 0xCA, (byte) 0xFE, (byte) 0xBA, (byte) 0xBE};
    private static final int CONSTANTS_AT = 8;
    private static final int FIRST_CONSTANT_AT = 10;

    private static final int TEXT = 1;
    private static final int CLASS = 7;

    /**
     * The bytes of each kind of constant behind its tag, -1 for none; for a text without its
     * letters.
     */
    private static final int[] LENGTHS = {
        -1, 2, -1, 4, 4, 8, 8, 2, 2, 4, 4, 4, 4, -1, -1, 3, 2, 4, 4, 2, 2
    };

    private final byte[] bytes;
    private final int length;

    /** Where each constant begins, by its number; 0 for one that is none. */
    private final int[] constants;

    private int at;

    private SupertypeReader(byte[] bytes, int length) throws IOException {
        this.bytes = bytes;
        this.length = length;
        require(FIRST_CONSTANT_AT);
        if (!Arrays.equals(bytes, 0, MAGIC.length, MAGIC, 0, MAGIC.length)) {
            throw new IOException("it does not start as a class file does");
        }
        constants = new int[two(CONSTANTS_AT)];
        at = FIRST_CONSTANT_AT;
    }

    /**
     * The binary names of what a class extends and implements directly. Empty if they cannot be
     * told.
     *
     * @param bytes begins with the file
     * @param length the number of bytes of the file
     * @param binaryName of the class that belongs into it
     */
    static Optional<List<String>> read(byte[] bytes, int length, String binaryName) {
        try {
            SupertypeReader reader = new SupertypeReader(bytes, length);
            reader.passConstants();
            return reader.supertypes(binaryName);
        } catch (IOException | IndexOutOfBoundsException damaged) {
            return Optional.empty();
        }
    }

    private void passConstants() throws IOException {
        for (int i = 1; i < constants.length; i++) {
            require(at + 3);
            constants[i] = at;
            int tag = bytes[at];
            int length = LENGTHS[tag];
            if (length < 0) {
                throw new IOException("there is no such constant");
            }
            at += 1 + length + (tag == TEXT ? two(at + 1) : 0);
            if (length == Long.BYTES) {
                // JVMS 4.4.5: it takes two numbers.
                i++;
            }
        }
    }

    /** The access flags, the class, its superclass, the number of interfaces, and these. */
    private Optional<List<String>> supertypes(String binaryName) throws IOException {
        require(at + 8);
        if (!className(two(at + 2)).equals(binaryName)) {
            return Optional.empty();
        }
        int above = two(at + 4);
        int interfaces = two(at + 6);
        at += 8;
        require(at + 2 * interfaces);
        List<String> names = new ArrayList<>(interfaces + 1);
        if (above > 0) {
            names.add(className(above));
        }
        for (int i = 0; i < interfaces; i++) {
            names.add(className(two(at + 2 * i)));
        }
        return Optional.of(List.copyOf(names));
    }

    private String className(int number) throws IOException {
        return FactsCollector.className(text(two(constant(number, CLASS) + 1)));
    }

    private String text(int number) throws IOException {
        int start = constant(number, TEXT) + 1;
        int length = two(start);
        for (int i = start + 2; i < start + 2 + length; i++) {
            if (bytes[i] < 0) {
                int all = length + 2;
                return new DataInputStream(new ByteArrayInputStream(bytes, start, all)).readUTF();
            }
        }
        return new String(bytes, start + 2, length, StandardCharsets.ISO_8859_1);
    }

    private int constant(int number, int tag) throws IOException {
        int constant = constants[number];
        if (constant == 0 || bytes[constant] != tag) {
            throw new IOException("there is no such constant");
        }
        return constant;
    }

    private int two(int place) {
        return (bytes[place] & 0xFF) << 8 | bytes[place + 1] & 0xFF;
    }

    private void require(int wanted) throws IOException {
        if (wanted > length) {
            throw new IOException("it ends too soon");
        }
    }
}
