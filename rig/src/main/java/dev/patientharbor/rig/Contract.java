package dev.patientharbor.rig;

import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.lang.reflect.TypeVariable;

/**
 * A contract with its type arguments, which a {@code Class} cannot say: {@code new
 * Contract<ManifestReader<Ship>>() {}}.
 *
 * @param <T> the contract
 */
public abstract class Contract<T> {

    private final Type type;

    /**
     * Makes the contract whose type arguments the subclass states.
     *
     * @throws IllegalStateException if the subclass leaves it open
     */
    protected Contract() {
        if (!(getClass().getGenericSuperclass() instanceof ParameterizedType mine)
                || getClass().getSuperclass() != Contract.class
                || mine.getActualTypeArguments()[0] instanceof TypeVariable) {
            throw new IllegalStateException(
                    "say the contract where this is made: new Contract<Reader<Ship>>() {}");
        }
        type = mine.getActualTypeArguments()[0];
    }

    /** The contract, as Java says it. */
    public final Type type() {
        return type;
    }

    @Override
    public final String toString() {
        return type.getTypeName();
    }
}
