package gullwing.works;

/** A horn as its maker delivers it: it knows nothing of the port's notices. */
public final class BrassHorn {

    public void blow(int times) {
        System.out.println("tooooot ".repeat(times).strip());
    }
}
