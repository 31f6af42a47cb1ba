package app.nosegay.plan;

import app.nosegay.library.MoveLibrary;
import app.nosegay.time.Length;
import app.nosegay.time.Tempo;

/** How long one rep of a segment's move lasts. */
public final class Tempos {
    private Tempos() {}

    /** One full rep: one pass of its rep pattern where it has one. */
    public static Length rep(Segment s, MoveLibrary library) {
        Tempo tempo = s.tempo() != null
                ? s.tempo()
                : library.find(s.move() == null ? "" : s.move())
                        .map(m -> m.tempo())
                        .orElse(Tempo.DEFAULT);
        return s.line() == null
                ? tempo.repLength()
                : s.line()
                        .attributes()
                        .over(s.block().attributes())
                        .rep()
                        .map(p -> p.passLength(tempo))
                        .orElse(tempo.repLength());
    }
}
