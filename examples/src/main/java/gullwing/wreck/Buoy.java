package gullwing.wreck;

import jakarta.inject.Named;

/** Marked where the mark says nothing: on the contract. */
@Named("buoy")
public interface Buoy {

    void ring();
}
