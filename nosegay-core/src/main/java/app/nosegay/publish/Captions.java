package app.nosegay.publish;

import app.nosegay.captions.Caption;
import app.nosegay.captions.TimedText.Cue;
import app.nosegay.cut.Cut;
import app.nosegay.review.VoiceOver;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The captions of the finished programme, from the transcripts of its takes. */
public final class Captions {
    /** Two lines of this many characters at most. */
    private static final int LINE = 42;
    /** Two lines rarely fill both to the last letter. */
    private static final int ROOM = 10;
    /** A gap shorter than this flickers and is closed. */
    private static final Length FLICKER = Length.ofMillis(80);
    /** A caption stays up long enough to be noticed. */
    private static final Length SHORTEST = Length.ofMillis(900);

    private Captions() {}

    /** The transcript lines that survive the cut, on the programme's time; overlaps shortened, long lines broken. */
    public static List<Cue> of(Map<String, List<Caption>> transcripts, Cut cut) {
        return of(transcripts, cut, List.of());
    }

    /** The same, with lines said again in place of what they cover. */
    public static List<Cue> of(Map<String, List<Caption>> transcripts, Cut cut, List<VoiceOver> overs) {
        List<Cue> cues = new ArrayList<>();
        List<Span<Axis.Cut>> covered = new ArrayList<>();
        for (VoiceOver over : overs) {
            over.in(cut).ifPresent(span -> {
                cues.add(new Cue(span, broken(over.words())));
                if (over.misstatement().span().length().isPositive()) {
                    covered.add(span);
                }
            });
        }
        transcripts.forEach((take, captions) -> {
            for (Caption c : captions.stream().flatMap(c -> parts(c).stream()).toList()) {
                Optional<Time<Axis.Cut>> start = cut.toCut(take, c.start());
                boolean isCovered = start.isPresent() && covered.stream().anyMatch(span -> span.contains(start.get()));
                if (start.isPresent() && !isCovered && !c.text().isBlank()) {
                    Time<Axis.Cut> end = cut.toCut(take, c.end())
                            .orElse(start.get().plus(c.end().since(c.start())));
                    Time<Axis.Cut> programmeEnd = Time.<Axis.Cut>zero().plus(cut.total());
                    Time<Axis.Cut> longEnough = Time.max(end, start.get().plus(SHORTEST));
                    cues.add(new Cue(
                            new Span<>(start.get(), Time.max(start.get(), Time.min(longEnough, programmeEnd))),
                            broken(c.text()),
                            c.speaker()));
                }
            }
        });
        cues.sort(Comparator.comparing((Cue c) -> c.span().start()));
        List<Cue> clean = new ArrayList<>();
        for (int i = 0; i < cues.size(); i++) {
            Cue cue = cues.get(i);
            Time<Axis.Cut> limit = i + 1 < cues.size()
                    ? cues.get(i + 1).span().start()
                    : cue.span().end();
            boolean flickers = limit.since(cue.span().end()).compareTo(FLICKER) < 0;
            Span<Axis.Cut> span = new Span<>(
                    cue.span().start(),
                    flickers
                            ? limit
                            : Time.max(cue.span().start(), Time.min(cue.span().end(), limit)));
            if (span.length().isPositive()) {
                clean.add(new Cue(span, cue.text(), cue.speaker()));
            }
        }
        return clean;
    }

    /** A caption in parts of two lines at most, each at the time its first word is said. */
    private static List<Caption> parts(Caption c) {
        if (c.text().length() <= 2 * LINE - ROOM) {
            return List.of(c);
        }
        List<Caption> parts = new ArrayList<>();
        List<Caption.Word> words = c.words();
        int from = 0;
        int letters = 0;
        for (int i = 0; i < words.size(); i++) {
            int length = words.get(i).text().length() + 1;
            if (letters + length > 2 * LINE - ROOM && i > from) {
                parts.add(part(words.subList(from, i), words.get(i).start()).by(c.speaker()));
                from = i;
                letters = 0;
            }
            letters += length;
        }
        parts.add(part(words.subList(from, words.size()), c.end()).by(c.speaker()));
        return parts;
    }

    private static Caption part(List<Caption.Word> words, Time<Axis.Take> end) {
        String text = String.join(" ", words.stream().map(Caption.Word::text).toList());
        return new Caption(words.get(0).start(), Time.max(words.get(0).start(), end), text);
    }

    /** The text in lines of at most {@value #LINE} characters, broken between words. */
    private static String broken(String text) {
        StringBuilder out = new StringBuilder();
        int column = 0;
        for (String word : text.strip().split("\\s+")) {
            if (column > 0 && column + 1 + word.length() > LINE) {
                out.append('\n');
                column = 0;
            } else if (column > 0) {
                out.append(' ');
                column++;
            }
            out.append(word);
            column += word.length();
        }
        return out.toString();
    }
}
