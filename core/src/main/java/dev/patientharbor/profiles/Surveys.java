package dev.patientharbor.profiles;

import dev.patientharbor.survey.Survey;
import java.nio.file.Path;

/** Surveys compiled code for which there is no profile yet. */
public final class Surveys {

    private Surveys() {}

    /**
     * Surveys code. Reads every class, with the bodies of its methods; loads and runs none.
     *
     * @param places folders, jars, or patterns whose last name may hold {@code *} and {@code ?};
     *     what cannot be read is a finding of the survey
     */
    public static Survey of(Path... places) {
        return ProfileSet.define("survey", set -> {}).withCode(places).survey();
    }

    /** Surveys code in the same way, as if the code of the tests were not there. */
    public static Survey withoutTests(Path... places) {
        return ProfileSet.define("survey", set -> set.profile("tests", tests -> tests.testCode()))
                .withCode(places)
                .surveyOfAll();
    }
}
