package app.nosegay.review;

import app.nosegay.calls.Call;
import app.nosegay.calls.reader.CallReader;
import app.nosegay.captions.Caption;
import app.nosegay.captions.TellingWords;
import app.nosegay.cut.Cut;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.match.Match;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * A line that was said again in a take of its own, laid over the place where it was said wrong or not at all.
 *
 * @param misstatement what it mends
 * @param take the take the line is in
 * @param source when it is said there
 * @param words as said there
 */
public record VoiceOver(Misstatement misstatement, String take, Span<Axis.Take> source, String words) {
    /** A breath before and after a line, so that no sound of it is cut off. */
    private static final Length BREATH = Length.ofMillis(80);

    private static final Set<String> SIDES = Set.of("left", "right");

    /**
     * The slips that are mended by lines of takes in which nothing of the plan is done. Every line is used once, in the order of the slips.
     */
    public static List<VoiceOver> of(List<Misstatement> misstatements, Match match, List<TakeEvidence> takes) {
        List<VoiceOver> overs = new ArrayList<>();
        Set<Caption> used = new HashSet<>();
        for (Misstatement misstatement : misstatements) {
            for (TakeEvidence take : takes) {
                boolean ofThePlan =
                        match.segments().stream().anyMatch(p -> take.id().equals(p.take()));
                boolean mended = !overs.isEmpty() && overs.get(overs.size() - 1).misstatement() == misstatement;
                if (ofThePlan || mended || misstatement.say().isEmpty()) {
                    continue;
                }
                take.words().stream()
                        .filter(c -> !used.contains(c) && isIt(misstatement.say(), c.text()))
                        .findFirst()
                        .ifPresent(c -> {
                            used.add(c);
                            overs.add(new VoiceOver(misstatement, take.id(), breath(c), c.text()));
                        });
            }
        }
        return overs;
    }

    private static Span<Axis.Take> breath(Caption c) {
        return breath(c.start(), c.end());
    }

    static Span<Axis.Take> breath(Time<Axis.Take> from, Time<Axis.Take> to) {
        return new Span<>(Time.max(Time.zero(), from.minus(BREATH)), to.plus(BREATH));
    }

    /** Whether {@code said} is the line wanted: the words, and exactly its numbers and sides. */
    private static boolean isIt(String wanted, String said) {
        return TellingWords.matches(wanted, said) && saysTheSame(wanted, said);
    }

    /** Whether numbers and sides are the same. */
    static boolean saysTheSame(String wanted, String said) {
        return figures(wanted).equals(figures(said)) && sides(wanted).equals(sides(said));
    }

    private static List<String> figures(String text) {
        List<Call> calls = CallReader.read(List.of(new Caption(Time.zero(), Time.ofSeconds(2), text)), List.of());
        return calls.stream()
                .filter(c -> c.value() != null)
                .map(c -> c.kind().word() + " " + c.value())
                .toList();
    }

    private static Set<String> sides(String text) {
        Set<String> sides = new HashSet<>(List.of(text.toLowerCase(Locale.ROOT).split("[^a-z]+")));
        sides.retainAll(SIDES);
        return sides;
    }

    /** How long saying it takes, without the breath around it. */
    Length spoken() {
        return source.length().minus(BREATH).minus(BREATH);
    }

    /** Where it is in the programme; empty when its place was cut away. It lasts at least as long as what it covers. */
    public Optional<Span<Axis.Cut>> in(Cut cut) {
        return cut.toCut(misstatement.take(), misstatement.span().start()).map(at -> {
            Time<Axis.Cut> from = Time.max(Time.zero(), at.minus(BREATH));
            Length covers = misstatement.span().length().plus(BREATH).plus(BREATH);
            Length lasts = source.length();
            return new Span<>(from, from.plus(covers.compareTo(lasts) > 0 ? covers : lasts));
        });
    }
}
