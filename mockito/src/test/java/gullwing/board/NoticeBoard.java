package gullwing.board;

import java.util.List;

/** Has its notices announced; its name begins as the contract's does. */
public record NoticeBoard(Notice notice) {

    /** Announces each. */
    public void all(List<String> texts) {
        texts.forEach(notice::announce);
    }
}
