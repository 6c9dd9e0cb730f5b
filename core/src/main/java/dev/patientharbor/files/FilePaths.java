package dev.patientharbor.files;

import java.nio.file.InvalidPathException;
import java.nio.file.Path;

/** Makes paths of what people write. */
public final class FilePaths {

    private FilePaths() {}

    /**
     * Resolves a path that is written as text.
     *
     * @param folder from where it starts, unless it is absolute
     * @throws UnfitFileException if this system has no file of such a name: it holds a character
     *     that cannot stand in one, or not in the encoding of names that this process was given
     */
    public static Path resolve(Path folder, String text) throws UnfitFileException {
        try {
            return folder.resolve(text);
        } catch (InvalidPathException fault) {
            boolean encoding = text.chars().anyMatch(sign -> sign > '~') && text.indexOf('\0') < 0;
            throw new UnfitFileException(
                    text,
                    encoding
                            ? "its name cannot be written in the encoding "
                                    + System.getProperty("sun.jnu.encoding")
                                    + " that this process was given for names"
                            : "there can be no file of that name");
        }
    }
}
