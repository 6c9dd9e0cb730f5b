package dev.patientharbor.code;

import dev.patientharbor.terms.TypeRef;
import java.util.List;
import java.util.Optional;

/**
 * A field with marks.
 *
 * @param name its name
 * @param access its modifiers
 * @param descriptor its erased type, as in JVMS 4.3.2
 * @param signature its generic type, as in JVMS 4.7.9.1
 * @param annotations the marks on it
 */
public record FieldFacts(
        String name,
        int access,
        String descriptor,
        Optional<String> signature,
        List<AnnotationFacts> annotations) {

    /** The generic type of the field. */
    public TypeRef type() {
        return TypeSignatures.field(descriptor, signature);
    }
}
