package dev.patientharbor.needs;

import dev.patientharbor.code.AnnotationFacts;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.code.FieldFacts;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.needs.MarkFault.Reason;
import dev.patientharbor.plan.NeedPlace;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;

/**
 * Finds marks on the members of a class that the open standard (Jakarta Dependency Injection 2.0,
 * {@code Inject}, {@code Named} and {@code Qualifier}) does not allow.
 */
final class MarkFaults {

    private final QualifierReader qualifiers;
    private final List<MarkFault> all = new ArrayList<>(0);

    MarkFaults(QualifierReader qualifiers) {
        this.qualifiers = qualifiers;
    }

    List<MarkFault> all() {
        return all;
    }

    void ofField(String owner, FieldFacts field) {
        NeedPlace place = NeedPlace.field(field.name());
        SourcePosition at = new SourcePosition.InClass(owner, place.words() + ' ' + field.name());
        if (Modifier.isFinal(field.access())) {
            all.add(new MarkFault(Reason.FINAL_FIELD, at));
        }
        ofKeys(field.annotations(), at);
    }

    void ofMethod(String owner, ExecutableFacts method) {
        if (!method.typeParameters().isEmpty()) {
            SourcePosition at = new SourcePosition.InClass(owner, "method " + method.name());
            all.add(new MarkFault(Reason.TYPE_PARAMETERS, at));
        }
        String nameAndTypes = NeedReader.nameAndTypes(method);
        ofParameters(owner, method, index -> NeedPlace.method(nameAndTypes, index));
    }

    void ofParameters(String owner, ExecutableFacts executable, IntFunction<NeedPlace> places) {
        for (int i = 0; i < executable.parameterTypes().size(); i++) {
            List<AnnotationFacts> marks = executable.parameterAnnotations(i);
            if (!marks.isEmpty()) {
                ofKeys(marks, new SourcePosition.InClass(owner, places.apply(i).words()));
            }
        }
    }

    private void ofKeys(List<AnnotationFacts> marks, SourcePosition at) {
        if (qualifiers.count(marks) > 1) {
            all.add(new MarkFault(Reason.TWO_KEYS, at));
        } else if (marks.stream().anyMatch(qualifiers::isBlank)) {
            all.add(new MarkFault(Reason.BLANK_NAME, at));
        }
    }
}
