package dev.patientharbor.files;

/** How large a file may be of each kind that is read: far larger than people or compilers make. */
public enum SizeLimit {
    PROFILE_FILE("a profile file", 8 << 20),
    SETTINGS_FILE("a file of settings", 8 << 20),
    CLASS_FILE("a class file", 4 << 20),
    OBSERVED_FILE("what was observed", 64 << 20),
    SERVICES_FILE("a list of services", 1 << 20);

    private static final int MEBIBYTE = 1 << 20;

    private final String what;
    private final int bytes;

    SizeLimit(String what, int bytes) {
        this.what = what;
        this.bytes = bytes;
    }

    /** The largest size that is read, in bytes. */
    public int bytes() {
        return bytes;
    }

    /** The limit as a reason: {@code it is larger than 8 MiB, the most for a profile file}. */
    public String reason() {
        return "it is larger than " + bytes / MEBIBYTE + " MiB, the most for " + what;
    }
}
