package gullwing.port;

/** Something aboard a ship. */
public record Cargo(String what, int tonnes) {}
