package dev.patientharbor.rig;

import java.util.List;

/** Makes one layer around an object. */
interface LayerMaker {

    /** What makes the layer around that object. */
    CoreMaker around(Object inner);

    /** The stations whose objects it needs beside. */
    List<ObjectStation> asks();
}
