package dev.patientharbor.code;

import org.objectweb.asm.ClassReader;

/** Reads one class file into facts. */
final class ClassFileReader {

    private static final int MAGIC = 0xCAFEBABE;
    private static final int DECLARATIONS = ClassReader.SKIP_CODE | ClassReader.SKIP_FRAMES;

    private ClassFileReader() {}

    /**
     * The facts of a class file.
     *
     * @throws NotAClassFile if the bytes are none that can be read
     */
    static ClassFacts read(byte[] bytes, FactsRequest request) {
        if (bytes.length < 10) {
            throw new NotAClassFile(
                    bytes.length == 0 ? "it is empty" : "it ends after " + bytes.length + " bytes");
        }
        if (((bytes[0] & 0xFF) << 24
                        | (bytes[1] & 0xFF) << 16
                        | (bytes[2] & 0xFF) << 8
                        | bytes[3] & 0xFF)
                != MAGIC) {
            throw new NotAClassFile("it does not start as a class file does");
        }
        FactsCollector collector = new FactsCollector(request);
        try {
            ClassReader reader = new ClassReader(bytes);
            reader.accept(collector, DECLARATIONS);
            collector.obtained(ObtainableReader.read(reader));
            collector.mentions(ClassMentions.read(reader));
            if (request.wantsBodies()) {
                reader.accept(
                        new LookupCollector(request, collector.lookups()),
                        ClassReader.SKIP_DEBUG | ClassReader.SKIP_FRAMES);
            }
            if (request.wantsCalls()) {
                CallReader.read(reader, request, collector.calls());
            }
            if (request.isStandIn(collector.name())) {
                reader.accept(
                        new ThrowCollector(collector.throwing()),
                        ClassReader.SKIP_DEBUG | ClassReader.SKIP_FRAMES);
            }
            if (collector.mayHaveConstants()) {
                reader.accept(
                        new ConstantCollector(request, collector.constants()),
                        ClassReader.SKIP_DEBUG | ClassReader.SKIP_FRAMES);
            }
            if (collector.lacksParameterNames()) {
                reader.accept(new ParameterNameCollector(collector), ClassReader.SKIP_FRAMES);
            }
            ClassFacts facts = collector.facts();
            TypeSignatures.requireSound(facts);
            return facts;
        } catch (NotAClassFile fault) {
            throw fault;
        } catch (StackOverflowError fault) {
            throw new NotAClassFile("something in it is nested too deeply", fault);
        } catch (RuntimeException fault) {
            // The bytecode library reports damage by whatever exception its parsing runs into.
            throw new NotAClassFile(reason(fault), fault);
        }
    }

    private static String reason(RuntimeException fault) {
        String message = fault.getMessage();
        return message != null && message.startsWith("Unsupported class file")
                ? "it was made for a newer Java: " + message.toLowerCase(java.util.Locale.ROOT)
                : "it is damaged";
    }

    /** The bytes are no class file, or a damaged one; the message says how. */
    static final class NotAClassFile extends RuntimeException {
        private static final long serialVersionUID = 1L;

        NotAClassFile(String reason) {
            super(reason);
        }

        NotAClassFile(String reason, Throwable cause) {
            super(reason, cause);
        }
    }
}
