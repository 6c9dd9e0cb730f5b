package dev.patientharbor.values;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.GivenValue;
import dev.patientharbor.terms.Settings;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ArrayType;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.terms.TypeRef.Primitive;
import dev.patientharbor.types.Carrier;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Tells whether given values convert to the types of parameters, from facts alone. */
public final class ConversionCheck {

    /** The most characters that are shown of a value that does not fit. */
    private static final int MOST_SHOWN = 200;

    private final CodeIndex code;
    private final Settings settings;

    /**
     * What is wrong with a value.
     *
     * @param at where it stands
     * @param unset the settings that are not set; none if the value does not fit
     * @param shown the value as it may be printed
     * @param wanted the type, with what it allows
     */
    public record Problem(SourcePosition at, List<String> unset, String shown, String wanted) {}

    public ConversionCheck(CodeIndex code, Settings settings) {
        this.code = code;
        this.settings = settings;
    }

    /** Returns everything that is wrong with a value for a type; nothing if it converts. */
    public List<Problem> problems(GivenValue given, TypeRef type) {
        List<Problem> problems = new ArrayList<>(0);
        check(given, type, problems);
        return problems;
    }

    private void check(GivenValue given, TypeRef type, List<Problem> problems) {
        if (type instanceof ArrayType array) {
            items(given, array.element(), type, problems);
        } else if (type instanceof Primitive primitive) {
            text(given, primitive.name(), type, problems);
        } else if (type instanceof ClassType named) {
            ofClass(given, named, problems);
        } else {
            unfit(given, type.text(), problems);
        }
    }

    private void ofClass(GivenValue given, ClassType type, List<Problem> problems) {
        if (ScalarText.isScalar(type.name())) {
            text(given, type.name(), type, problems);
        } else if (type.name().equals("java.util.Optional") && type.arguments().size() == 1) {
            check(given, type.arguments().get(0), problems);
        } else if (type.name().equals("java.util.Map") && type.arguments().size() == 2) {
            entries(given, type, problems);
        } else if (type.arguments().size() == 1 && Carrier.of(type).isPresent()) {
            items(given, type.arguments().get(0), type, problems);
        } else {
            ofOtherClass(given, type, problems);
        }
    }

    private void ofOtherClass(GivenValue given, ClassType type, List<Problem> problems) {
        Optional<ClassFacts> facts = code.find(type.name());
        if (facts.filter(ClassFacts::isEnum).isPresent()) {
            constant(given, facts.get(), problems);
        } else if (facts.filter(ClassFacts::isRecord).isPresent()) {
            fields(given, facts.get(), problems);
        } else {
            unfit(given, type.text() + ", which no value can be written for", problems);
        }
    }

    private void text(GivenValue given, String scalar, TypeRef type, List<Problem> problems) {
        Optional<String> text = settled(given, type.text(), problems);
        if (text.isPresent() && ScalarText.parse(scalar, text.get()).isEmpty()) {
            unfit(given, type.text(), problems);
        }
    }

    private void constant(GivenValue given, ClassFacts type, List<Problem> problems) {
        String wanted = "one of " + String.join(", ", type.enumConstants());
        Optional<String> text = settled(given, wanted, problems);
        if (text.isPresent() && !type.enumConstants().contains(text.get())) {
            unfit(given, wanted, problems);
        }
    }

    private void items(GivenValue given, TypeRef element, TypeRef type, List<Problem> problems) {
        Optional<GivenValue.Items> list = given.list();
        if (list.isPresent()) {
            list.get().items().forEach(item -> check(item, element, problems));
        } else {
            unfit(given, "a list, for " + type.text(), problems);
        }
    }

    private void entries(GivenValue given, ClassType type, List<Problem> problems) {
        Optional<GivenValue.Fields> map = given.map();
        if (map.isPresent()) {
            map.get()
                    .fields()
                    .forEach(
                            (key, value) -> {
                                check(
                                        new GivenValue.Text(key, value.at()),
                                        type.arguments().get(0),
                                        problems);
                                check(value, type.arguments().get(1), problems);
                            });
        } else {
            unfit(given, "a map of keys and values for " + type.text(), problems);
        }
    }

    private void fields(GivenValue given, ClassFacts record, List<Problem> problems) {
        ExecutableFacts made = record.constructors().get(0);
        List<TypeRef> types = made.parameterTypes();
        Optional<GivenValue.Fields> map = given.map();
        if (map.isEmpty()) {
            unfit(given, "a map of keys and values for " + record.name(), problems);
            return;
        }
        Map<String, GivenValue> values = map.get().fields();
        List<String> names = new ArrayList<>();
        for (int i = 0; i < types.size(); i++) {
            String name = made.parameterName(i);
            names.add(name);
            if (values.containsKey(name)) {
                check(values.get(name), types.get(i), problems);
            } else {
                unfit(given, "a map that has the key " + name, problems);
            }
        }
        values.forEach(
                (name, value) -> {
                    if (!names.contains(name)) {
                        unfit(
                                new GivenValue.Text(name, value.at()),
                                "one of " + String.join(", ", names),
                                problems);
                    }
                });
    }

    /** The text with its settings, or what is wrong with them. */
    private Optional<String> settled(GivenValue given, String wanted, List<Problem> problems) {
        Optional<GivenValue.Text> plain = given.plain();
        if (plain.isEmpty()) {
            unfit(given, wanted, problems);
            return Optional.empty();
        }
        SettingText text = SettingText.of(plain.get().text(), settings);
        if (text.malformed()) {
            unfit(given, "a setting as ${NAME} or ${NAME:-default}", problems);
        } else if (text.tooLong()) {
            unfit(given, "a text of at most " + SettingText.LONGEST + " characters", problems);
        } else if (!text.missing().isEmpty()) {
            problems.add(new Problem(given.at(), text.missing(), plain.get().text(), wanted));
        }
        return text.text();
    }

    private static void unfit(GivenValue given, String wanted, List<Problem> problems) {
        String says = given.canonicalText();
        boolean cut = says.length() > MOST_SHOWN;
        String shown = cut ? says.substring(0, MOST_SHOWN) + "…" : says;
        problems.add(new Problem(given.at(), List.of(), shown, wanted));
    }
}
