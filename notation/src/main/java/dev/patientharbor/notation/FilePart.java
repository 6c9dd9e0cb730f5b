package dev.patientharbor.notation;

import dev.patientharbor.model.Area;
import dev.patientharbor.model.FillIn;
import dev.patientharbor.model.HouseMarks;
import dev.patientharbor.model.Lifetime;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.StatedConsumer;
import dev.patientharbor.model.Strictness;
import dev.patientharbor.model.Written;
import java.util.List;
import java.util.Optional;

/**
 * What one file says by itself.
 *
 * @param include the files that it includes, as written
 */
record FilePart(
        Optional<String> title,
        List<Written> include,
        List<Written> code,
        List<Written> settings,
        List<Written> packages,
        List<Written> entry,
        List<Written> order,
        List<StatedConsumer> consumers,
        Optional<Lifetime> defaultLifetime,
        HouseMarks marks,
        List<Written> mayBeEmpty,
        List<FillIn> fillIn,
        Strictness strictness,
        List<Area> areas,
        List<Profile> profiles) {

    /** A file of which nothing could be understood. */
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
