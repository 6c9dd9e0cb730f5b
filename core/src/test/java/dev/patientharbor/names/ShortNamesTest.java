package dev.patientharbor.names;

import static org.junit.jupiter.api.Assertions.assertEquals;

import dev.patientharbor.code.CodePlaces;
import dev.patientharbor.code.MadeUpCode;
import dev.patientharbor.profiles.ProfileSet;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/** A class is called by its simple name unless another class of the code has it too. */
class ShortNamesTest {

    private static final List<String> SIMPLE =
            List.of("Gauge", "Rota", "Outer$Builder", "Builder", "Outer$1", "A$B$C", "Ünder", "X");

    @Test
    void names_are_short_exactly_where_they_are_clear_in_whatever_order_one_asks() {
        Random random = new Random(7);
        for (int round = 0; round < 60; round++) {
            Set<String> there = new TreeSet<>();
            int size = random.nextInt(300);
            for (int i = 0; i < size; i++) {
                String simple = SIMPLE.get(random.nextInt(SIMPLE.size()));
                boolean isOften = random.nextInt(4) == 0;
                there.add("p" + random.nextInt(9) + "." + simple + (isOften ? "" : "" + i));
            }
            CodePlaces code = MadeUpCode.places(there.stream().map(MadeUpCode::contract).toList());
            ClassNames names =
                    new ClassNames(code.whole(), ProfileSet.define("names", set -> {}).declared());
            List<String> asked = new ArrayList<>(there);
            SIMPLE.forEach(simple -> asked.add("elsewhere." + simple));
            asked.add("elsewhere.Nobody");
            Collections.shuffle(asked, random);
            for (String name : asked) {
                String simple = simple(name);
                boolean shared =
                        there.stream()
                                .anyMatch(
                                        other ->
                                                !other.equals(name)
                                                        && simple(other).equals(simple));
                assertEquals(shared ? name : simple, names.shortName(name), there.toString());
            }
        }
    }

    private static String simple(String binaryName) {
        return binaryName.substring(binaryName.lastIndexOf('.') + 1).replaceAll("\\$(?!\\d)", ".");
    }
}
