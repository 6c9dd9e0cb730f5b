package dev.patientharbor.code;

import java.util.BitSet;
import java.util.List;
import org.objectweb.asm.ClassReader;

/**
 * Finds the methods of wanted contracts that a class file calls or refers to. The constant pool
 * (JVMS 4.4) names them all, so no body is read.
 */
final class CallReader {

    private static final int CLASS = 7;
    private static final int METHOD = 10;
    private static final int INTERFACE_METHOD = 11;

    private CallReader() {}

    static void read(ClassReader reader, FactsRequest request, List<MethodFacts> found) {
        char[] buffer = new char[reader.getMaxStringLength()];
        BitSet owners = owners(reader, request, buffer);
        for (int i = 1; !owners.isEmpty() && i < reader.getItemCount(); i++) {
            int at = reader.getItem(i);
            int tag = at == 0 ? 0 : reader.readByte(at - 1);
            if ((tag == METHOD || tag == INTERFACE_METHOD)
                    && owners.get(reader.readUnsignedShort(at))) {
                int nameAndType = reader.getItem(reader.readUnsignedShort(at + 2));
                String name = reader.readUTF8(nameAndType, buffer);
                if (name.charAt(0) != '<') {
                    found.add(
                            new MethodFacts(
                                    FactsCollector.className(reader.readClass(at, buffer)),
                                    name,
                                    reader.readUTF8(nameAndType + 2, buffer)));
                }
            }
        }
    }

    private static BitSet owners(ClassReader reader, FactsRequest request, char[] buffer) {
        BitSet owners = new BitSet();
        for (int i = 1; i < reader.getItemCount(); i++) {
            int at = reader.getItem(i);
            if (at != 0
                    && reader.readByte(at - 1) == CLASS
                    && request.isCalled(FactsCollector.className(reader.readUTF8(at, buffer)))) {
                owners.set(i);
            }
        }
        return owners;
    }
}
