package app.nosegay.script;

import app.nosegay.library.CueKind;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import java.util.ArrayList;
import java.util.List;

/**
 * What the creator decided about the script beyond the run sheet: lines written, moved or left out by hand, the own rate of speech, words
 * to avoid, sources of claims.
 *
 * @param lines the lines decided by hand
 * @param rate how fast the creator speaks
 * @param avoid words and phrases never to say
 * @param sources where claims come from
 * @param style how the creator says what every trainer says
 */
public record ScriptNotes(
        List<Decided> lines, SpeechRate rate, List<String> avoid, List<Source> sources, SpeechStyle style) {
    public static final ScriptNotes NONE =
            new ScriptNotes(List.of(), SpeechRate.DEFAULT, List.of(), List.of(), SpeechStyle.DEFAULT);

    public ScriptNotes {
        lines = List.copyOf(lines);
        avoid = List.copyOf(avoid);
        sources = List.copyOf(sources);
    }

    /**
     * A line decided by hand.
     *
     * @param segment the segment it belongs to
     * @param of the planner's line it stands for; empty for a line of the creator's own
     * @param kind its kind
     * @param text its words; empty when the planner's line is left out
     * @param at its fixed place from the segment's start, or null where the planner places it
     */
    public record Decided(String segment, String of, CueKind kind, String text, Length at) {
        boolean standsFor(String otherSegment, String line) {
            return segment.equals(otherSegment) && of.equals(line);
        }

        public boolean isLeftOut() {
            return text.isEmpty();
        }
    }

    /**
     * Where a claim comes from.
     *
     * @param claim the words of the claim, or the topic
     * @param source who says so
     * @param date when, as written
     */
    public record Source(String claim, String source, String date) {}

    /** With {@code decided} in place of any earlier decision about the same line. */
    public ScriptNotes with(Decided decided) {
        List<Decided> more = new ArrayList<>(lines.stream()
                .filter(l -> !(l.segment().equals(decided.segment()) && l.of().equals(decided.of())))
                .toList());
        more.add(decided);
        return withLines(more);
    }

    /** Without any decision about the line {@code of} in {@code segment}: the planner's own comes back. */
    public ScriptNotes without(String segment, String of) {
        return new ScriptNotes(
                lines.stream().filter(l -> !l.standsFor(segment, of)).toList(), rate, avoid, sources, style);
    }

    public ScriptNotes withRate(SpeechRate faster) {
        return new ScriptNotes(lines, faster, avoid, sources, style);
    }

    public ScriptNotes withAvoid(List<String> words) {
        return new ScriptNotes(lines, rate, words, sources, style);
    }

    public ScriptNotes withSources(List<Source> known) {
        return new ScriptNotes(lines, rate, avoid, known, style);
    }

    public ScriptNotes withStyle(SpeechStyle own) {
        return new ScriptNotes(lines, rate, avoid, sources, own);
    }

    /** With other lines decided by hand. */
    public ScriptNotes withLines(List<Decided> decided) {
        return new ScriptNotes(decided, rate, avoid, sources, style);
    }
}
