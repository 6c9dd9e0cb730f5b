package dev.patientharbor.code;

import java.io.IOException;

/** One class file that can be read. */
interface ClassFile {

    /** The place as people read it: {@code lib/port.jar!/gullwing/Rota.class}. */
    String place();

    byte[] bytes() throws IOException;
}
