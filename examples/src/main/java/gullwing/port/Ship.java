package gullwing.port;

/** A ship of a manifest. */
public record Ship(String name, int metres) {}
