package gullwing.shore;

import gullwing.port.BerthLedger;
import java.util.ArrayList;
import java.util.List;

/** The board on the wall of the harbour office. */
public final class WallBerthLedger implements BerthLedger {

    private final List<String> board = new ArrayList<>();

    @Override
    public int reserve(String ship) {
        board.add(ship);
        return board.size();
    }

    @Override
    public List<String> list() {
        return List.copyOf(board);
    }

    @Override
    public void release(String ship) {
        board.remove(ship);
    }
}
