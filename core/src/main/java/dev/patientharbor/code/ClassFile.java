package dev.patientharbor.code;

import java.io.IOException;

/** One file of the code that can be read. */
interface ClassFile {

    /** The path inside its folder or jar, with {@code /} between. */
    String name();

    /** The place as people read it: {@code lib/port.jar!/gullwing/Rota.class}. */
    String place();

    byte[] bytes() throws IOException;
}
