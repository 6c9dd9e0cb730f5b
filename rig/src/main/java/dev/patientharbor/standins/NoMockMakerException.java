package dev.patientharbor.standins;

import dev.patientharbor.texts.JavaName;
import dev.patientharbor.texts.RequiredArgument;

/** Thrown where a mock of a class is wanted, and nobody is there who makes one. */
public final class NoMockMakerException extends IllegalArgumentException {

    private static final long serialVersionUID = 1;

    /** Says of which class. */
    public NoMockMakerException(Class<?> contract) {
        super(
                "a mock can be made of an interface, and "
                        + JavaName.of(RequiredArgument.of(contract, "contract"))
                        + " is a class: with patient-harbor-mockito on the class path it can be"
                        + " made");
    }
}
