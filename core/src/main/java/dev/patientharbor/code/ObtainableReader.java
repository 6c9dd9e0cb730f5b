package dev.patientharbor.code;

import java.util.HashSet;
import java.util.Set;
import org.objectweb.asm.ClassReader;

/**
 * Finds the types that bodies of a class file may make or fetch. The constant pool (JVMS 4.4) names
 * every constructor and method that is called, every field that is read and what each lambda is, so
 * no body is read. Texts, collections and other everyday types of the JDK are left out; {@code
 * java/util/ServiceLoader} stands for whatever is looked up among services or by the name of a
 * class.
 */
final class ObtainableReader {

    private static final int FIELD = 9;
    private static final int METHOD = 10;
    private static final int INTERFACE_METHOD = 11;
    private static final int INVOKE_DYNAMIC = 18;
    private static final String SERVICES = "java/util/ServiceLoader";
    private static final String LANGUAGE = "java/lang/";
    private static final String BY_NAME = "forName";
    private static final String LOADING = "load";
    private static final String CONSTRUCTOR = "<init>";

    private final ClassReader reader;
    private final char[] buffer;
    private final Set<String> found = new HashSet<>();

    private ObtainableReader(ClassReader reader) {
        this.reader = reader;
        buffer = new char[reader.getMaxStringLength()];
    }

    static Set<String> read(ClassReader reader) {
        ObtainableReader pool = new ObtainableReader(reader);
        for (int i = 1; i < reader.getItemCount(); i++) {
            int at = reader.getItem(i);
            int tag = at == 0 ? 0 : reader.readByte(at - 1);
            if (tag >= FIELD && tag <= INTERFACE_METHOD) {
                pool.member(at, tag);
            } else if (tag == INVOKE_DYNAMIC) {
                pool.yields(at, tag);
            }
        }
        pool.found.remove(FactsCollector.className(reader.getClassName()));
        return pool.found;
    }

    private void member(int at, int tag) {
        int name = item(reader.getItem(reader.readUnsignedShort(at + 2)));
        if (yields(at, tag) == 'V'
                && isText(name, CONSTRUCTOR)
                && !holds(owner(at) + 2, LANGUAGE)) {
            add(reader.readClass(at, buffer));
        }
        if (looksUp(at, name)) {
            found.add(SERVICES);
        }
    }

    /** Adds what a member yields, or what a lambda is; returns the first sign of its type. */
    private int yields(int at, int tag) {
        int nameAndType = reader.getItem(reader.readUnsignedShort(at + 2));
        int type = item(nameAndType + 2);
        int length = reader.readUnsignedShort(type);
        int result = tag == FIELD ? type + 2 : result(type + 2, length);
        if (reader.readByte(result) == 'L' && !holds(result + 1, LANGUAGE)) {
            String descriptor = reader.readUTF8(nameAndType + 2, buffer);
            add(descriptor.substring(descriptor.indexOf(')') + 2, descriptor.length() - 1));
        }
        return reader.readByte(result);
    }

    /** Where the text stands to which an entry of the pool points: its length, then its bytes. */
    private int item(int at) {
        return reader.getItem(reader.readUnsignedShort(at));
    }

    /** Where the name of the class of a member stands. */
    private int owner(int at) {
        return item(item(at));
    }

    /**
     * Where the result stands in the descriptor of a method: its own length, two bytes, is before.
     */
    private int result(int start, int length) {
        int at = start + length - 1;
        while (reader.readByte(at) != ')') {
            at--;
        }
        return at + 1;
    }

    private boolean looksUp(int at, int name) {
        return isText(name, BY_NAME) || holds(name + 2, LOADING) && isText(owner(at), SERVICES);
    }

    private boolean isText(int at, String text) {
        return reader.readUnsignedShort(at) == text.length() && holds(at + 2, text);
    }

    /**
     * Whether ASCII letters stand there: most names are of java/lang, and are not even made a text.
     * A name that is shorter does not hold them, for no letter follows a name in the pool.
     */
    private boolean holds(int at, String text) {
        for (int i = 0; i < text.length(); i++) {
            if (reader.readByte(at + i) != text.charAt(i)) {
                return false;
            }
        }
        return true;
    }

    private void add(String internalName) {
        boolean isCollection =
                internalName.startsWith("java/util/")
                        && !internalName.startsWith("java/util/concurrent/")
                        && !internalName.equals("java/util/Random");
        if (!isCollection) {
            found.add(FactsCollector.className(internalName));
        }
    }
}
