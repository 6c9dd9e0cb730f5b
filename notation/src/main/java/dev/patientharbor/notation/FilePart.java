package dev.patientharbor.notation;

import dev.patientharbor.model.Area;
import dev.patientharbor.model.HouseMarks;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.StatedConsumer;
import dev.patientharbor.model.Strictness;
import dev.patientharbor.terms.FillInSource;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.WrittenName;
import java.util.List;
import java.util.Optional;

/**
 * What one file says by itself.
 *
 * @param include the files that it includes, as written
 */
record FilePart(
        Optional<String> title,
        List<WrittenName> include,
        List<WrittenName> code,
        List<WrittenName> settings,
        List<WrittenName> packages,
        List<WrittenName> entry,
        List<WrittenName> order,
        List<StatedConsumer> consumers,
        Optional<Lifetime> defaultLifetime,
        HouseMarks marks,
        List<WrittenName> mayBeEmpty,
        List<FillInSource> fillIn,
        Strictness strictness,
        List<Area> areas,
        List<Profile> profiles) {

    /** The part that stands for a file of which nothing could be understood. */
    static final FilePart NOTHING =
            new FilePart(
                    Optional.empty(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    Optional.empty(),
                    HouseMarks.NONE,
                    List.of(),
                    List.of(),
                    Strictness.AS_IS,
                    List.of(),
                    List.of());
}
