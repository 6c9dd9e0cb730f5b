package dev.patientharbor.live;

import com.fasterxml.jackson.databind.JavaType;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.datatype.jdk8.Jdk8Module;
import com.fasterxml.jackson.datatype.jsr310.JavaTimeModule;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.GivenValue;
import dev.patientharbor.terms.Settings;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ArrayType;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.values.SettingText;
import java.io.IOException;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Converts values that people wrote to objects, and back. What the check accepts converts; each
 * conversion makes new objects. May be used by several threads.
 */
public final class ValueConverter {

    private final Settings settings;
    private final UserClasses classes;
    private final SecretTexts secrets = new SecretTexts();
    private ObjectMapper mapper;

    /**
     * @param settings what settings in texts stand for
     */
    public ValueConverter(Settings settings, UserClasses classes) {
        this.settings = settings;
        this.classes = classes;
    }

    /**
     * A value as an object of a type.
     *
     * @throws IllegalArgumentException if it does not convert; the message names the type alone,
     *     for the value may be a secret
     */
    public Object object(GivenValue given, Type type) {
        Optional<GivenValue.Text> plain = given.plain();
        return type == String.class && plain.isPresent()
                ? text(plain.get())
                : object(given, mapper().constructType(type));
    }

    /** Converts a given value to a type as class files give it. */
    public Object object(GivenValue given, TypeRef type) {
        return object(given, javaType(type));
    }

    /** Converts a given value to a type whose type variables are known. */
    public Object object(GivenValue given, ValueType type) {
        return object(given, type.type());
    }

    private Object object(GivenValue given, JavaType type) {
        try {
            return mapper().readerFor(type).readValue(node(given));
        } catch (IOException | RuntimeException unfit) {
            throw new IllegalArgumentException(
                    "the value at " + given.at() + " is no " + type.toCanonical());
        }
    }

    /** A type with its arguments. */
    public ValueType type(TypeRef type) {
        return new ValueType(javaType(type), mapper().getTypeFactory());
    }

    private JavaType javaType(TypeRef type) {
        if (type instanceof ArrayType array) {
            return mapper().getTypeFactory().constructArrayType(javaType(array.element()));
        }
        Class<?> raw = classes.erased(type);
        if (type instanceof ClassType named
                && named.arguments().size() == raw.getTypeParameters().length) {
            JavaType[] arguments =
                    named.arguments().stream().map(this::javaType).toArray(JavaType[]::new);
            return mapper().getTypeFactory().constructParametricType(raw, arguments);
        }
        return mapper().constructType(raw);
    }

    /** An exception of a class, with a message if there is one. */
    public Throwable failure(String className, Optional<String> saying) {
        return ExceptionMaker.of(classes.load(className), saying);
    }

    /** What was seen, as it may be shown: values that came of settings are as they were written. */
    public String hidden(String shown) {
        return secrets.hidden(shown);
    }

    /**
     * An object as a person would write it, to be converted back by its type; values that came of
     * settings are those settings again.
     */
    public GivenValue given(Object object, SourcePosition at) {
        return given(mapper().valueToTree(object), at);
    }

    private GivenValue given(JsonNode node, SourcePosition at) {
        if (node.isArray()) {
            List<GivenValue> items = new ArrayList<>();
            node.forEach(item -> items.add(given(item, at)));
            return new GivenValue.Items(items, at);
        }
        if (node.isObject()) {
            Map<String, GivenValue> fields = new LinkedHashMap<>();
            node.properties()
                    .forEach(entry -> fields.put(entry.getKey(), given(entry.getValue(), at)));
            return new GivenValue.Fields(fields, at);
        }
        String text = node.asText();
        String hidden = secrets.hidden(text);
        return new GivenValue.Text(hidden.equals(text) ? text.replace("$", "$$") : hidden, at);
    }

    private JsonNode node(GivenValue given) {
        return given.match(
                text -> mapper().getNodeFactory().textNode(text(text)), this::array, this::object);
    }

    private JsonNode array(GivenValue.Items list) {
        ArrayNode array = mapper().createArrayNode();
        list.items().forEach(item -> array.add(node(item)));
        return array;
    }

    private JsonNode object(GivenValue.Fields map) {
        ObjectNode object = mapper().createObjectNode();
        map.fields().forEach((name, value) -> object.set(name, node(value)));
        return object;
    }

    private String text(GivenValue.Text plain) {
        SettingText text = SettingText.of(plain.text(), settings);
        if (text.secret()) {
            secrets.add(text.text().orElseThrow(), plain.text());
        }
        return text.text().orElseThrow();
    }

    private synchronized ObjectMapper mapper() {
        if (mapper == null) {
            mapper =
                    new ObjectMapper()
                            .registerModule(new Jdk8Module())
                            .registerModule(new JavaTimeModule())
                            .registerModule(ScalarReaders.module())
                            .disable(SerializationFeature.WRITE_DATES_AS_TIMESTAMPS)
                            .disable(SerializationFeature.WRITE_DURATIONS_AS_TIMESTAMPS);
        }
        return mapper;
    }
}
