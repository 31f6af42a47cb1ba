package app.nosegay.desktop.match;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.script.Wordings;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * A block of the Score, folded to one row or open above its lines.
 *
 * @param block the block's slug, which tells it from others of the same name
 * @param lines all lines of the block, in order
 * @param open whether its lines are shown under it
 */
record ScoreFold(String block, List<ScoreLine> lines, boolean open) implements ScoreRow {
    ScoreFold {
        lines = List.copyOf(lines);
    }

    @Override
    public String key() {
        return DesktopText.of("match.score-fold.block", block);
    }

    /** The rows of {@code lines} by block: each block's fold, its lines under it where it is open. */
    static List<ScoreRow> fold(List<ScoreLine> lines, Set<String> open) {
        List<ScoreRow> rows = new ArrayList<>();
        int from = 0;
        while (from < lines.size()) {
            String block = blockOf(lines, from);
            int to = from + 1;
            while (to < lines.size() && blockOf(lines, to).equals(block)) {
                to++;
            }
            List<ScoreLine> own = lines.subList(from, to);
            rows.add(new ScoreFold(block, own, open.contains(block)));
            if (open.contains(block)) {
                rows.addAll(own);
            }
            from = to;
        }
        return rows;
    }

    /** The block a line belongs to; what nobody planned belongs to the block before it. */
    private static String blockOf(List<ScoreLine> lines, int at) {
        int i = at;
        while (i > 0 && lines.get(i).isUnplanned()) {
            i--;
        }
        while (i < lines.size() - 1 && lines.get(i).isUnplanned()) {
            i++;
        }
        ScoreLine line = lines.get(i);
        return line.isUnplanned() ? "" : line.interval().first().block().slug();
    }

    /** The block's name, or what its first interval is where it has none. */
    String name() {
        return lines.stream()
                .filter(l -> !l.isUnplanned())
                .findFirst()
                .map(l -> l.interval().first().block().name().isEmpty()
                        ? l.title()
                        : Wordings.capital(l.interval().first().block().name()))
                .orElse(DesktopText.of("match.score-fold.not-planned"));
    }

    Length planned() {
        return lines.stream().map(ScoreLine::planned).reduce(Length.ZERO, Length::plus);
    }

    /** Recorded minus planned, over the lines that were found. */
    Length drift() {
        return lines.stream().map(ScoreLine::drift).reduce(Length.ZERO, Length::plus);
    }

    long missing() {
        return lines.stream().filter(ScoreLine::isMissing).count();
    }

    double doubt() {
        return lines.stream().mapToDouble(ScoreLine::doubt).max().orElse(0);
    }

    @Override
    public String spoken() {
        return DesktopText.of("match.score-fold.lines-open", name(), lines.size(), open);
    }
}
