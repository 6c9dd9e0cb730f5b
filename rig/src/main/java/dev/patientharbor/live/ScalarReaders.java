package dev.patientharbor.live;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.KeyDeserializer;
import com.fasterxml.jackson.databind.deser.std.StdDeserializer;
import com.fasterxml.jackson.databind.module.SimpleModule;
import dev.patientharbor.values.ScalarText;
import java.io.IOException;
import java.lang.reflect.Array;
import java.math.BigDecimal;
import java.net.URI;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** Has the conversion library read texts by our own rules, in lists, arrays, maps and keys too. */
final class ScalarReaders {

    private static final List<Class<?>> PRIMITIVES =
            List.of(
                    byte.class,
                    short.class,
                    int.class,
                    long.class,
                    float.class,
                    double.class,
                    boolean.class,
                    char.class);

    private static final List<Class<?>> OTHERS =
            List.of(
                    String.class,
                    CharSequence.class,
                    BigDecimal.class,
                    Path.class,
                    URI.class,
                    Duration.class,
                    Instant.class,
                    LocalDate.class);

    private ScalarReaders() {}

    static SimpleModule module() {
        SimpleModule module = new SimpleModule();
        for (Class<?> type : PRIMITIVES) {
            add(module, type, UserClasses.boxed(type));
            addArray(module, type.arrayType(), type);
        }
        OTHERS.forEach(type -> add(module, type, type));
        return module;
    }

    /** The library asks for readers of a class by its type, which a loop has not. */
    @SuppressWarnings({"unchecked", "rawtypes"})
    private static void add(SimpleModule module, Class type, Class boxed) {
        module.addDeserializer(type, new ScalarReader(type));
        module.addDeserializer(boxed, new ScalarReader(boxed));
        module.addKeyDeserializer(boxed, new KeyReader(boxed));
    }

    @SuppressWarnings({"unchecked", "rawtypes"})
    private static void addArray(SimpleModule module, Class array, Class element) {
        module.addDeserializer(array, new ArrayReader(array, element));
    }

    private static Object object(Class<?> type, String text, DeserializationContext context)
            throws IOException {
        return ScalarText.parse(type.getName(), text)
                .orElseThrow(() -> context.weirdStringException("", type, "it does not fit"));
    }

    private static final class ScalarReader extends StdDeserializer<Object> {
        private static final long serialVersionUID = 1;

        private final Class<?> type;

        ScalarReader(Class<?> type) {
            super(type);
            this.type = type;
        }

        @Override
        public Object deserialize(JsonParser parser, DeserializationContext context)
                throws IOException {
            return parser.currentToken().isScalarValue()
                    ? object(type, parser.getText(), context)
                    : context.handleUnexpectedToken(type, parser);
        }
    }

    /** Reads arrays of a primitive type, of which the library reads the elements by itself. */
    private static final class ArrayReader extends StdDeserializer<Object> {
        private static final long serialVersionUID = 1;

        private final Class<?> element;

        ArrayReader(Class<?> array, Class<?> element) {
            super(array);
            this.element = element;
        }

        @Override
        public Object deserialize(JsonParser parser, DeserializationContext context)
                throws IOException {
            if (!parser.isExpectedStartArrayToken()) {
                return context.handleUnexpectedToken(handledType(), parser);
            }
            List<Object> elements = new ArrayList<>();
            while (!parser.nextToken().isStructEnd()) {
                elements.add(object(element, parser.getText(), context));
            }
            Object array = Array.newInstance(element, elements.size());
            for (int i = 0; i < elements.size(); i++) {
                Array.set(array, i, elements.get(i));
            }
            return array;
        }
    }

    private static final class KeyReader extends KeyDeserializer {
        private final Class<?> type;

        KeyReader(Class<?> type) {
            this.type = type;
        }

        @Override
        public Object deserializeKey(String key, DeserializationContext context)
                throws IOException {
            return object(type, key, context);
        }
    }
}
