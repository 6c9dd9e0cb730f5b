package gullwing.office;

/** What a crossing costs, in cents. */
public interface FareTable {
    int cents(String passenger);
}
