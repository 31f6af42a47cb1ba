package app.nosegay.series;

import app.nosegay.captions.Caption;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.match.Match;
import app.nosegay.plan.Segment;
import app.nosegay.plan.check.PlanCheck;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.workout.Programme;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What viewers were promised the last time, in another workout.
 *
 * @param workout its title
 * @param promise its promise as written; empty for none
 * @param kept whether its plan kept it
 * @param recorded how long it was as recorded; null when it was not
 * @param said what was said of the next time, sentence by sentence
 */
public record LastPromise(String workout, String promise, boolean kept, Length recorded, List<String> said) {
    /** More is not read above a plan. */
    private static final int MOST_SAID = 2;

    private static final Pattern SENTENCES = Pattern.compile("(?<=[.!?])\\s+");
    private static final Pattern FAREWELL = Pattern.compile(
            "(?i)\\b(?:(?:i|we)(?:'ll| will) )?(?:see|meet|catch) (?:you|ya)(?: all| there| again| here| back)*\\b");
    private static final Pattern NEXT_TIME = Pattern.compile("(?i)\\b(?:next (?:time(?! (?:a)?round)|week|month|video|"
            + "workout|session|episode|class)|tomorrow|in (?:the|our|my) next one)\\b");
    private static final Pattern UNDERTAKES = Pattern.compile(
            "(?i)\\b(?:we|i|you|there|it)(?:'ll| will|'re going to|'m going to| are going to| am going to|'re gonna)\\b"
                    + "|\\b(?:comes?|coming)\\b");

    public LastPromise {
        said = List.copyOf(said);
    }

    /** What was promised in a workout; empty where nothing was. */
    public static Optional<LastPromise> of(Programme programme) {
        List<String> said = programme.timeline().segments().stream()
                .filter(s -> s.kind() == SegmentKind.TALK)
                .flatMap(s -> spoken(programme, s).stream())
                .distinct()
                .limit(MOST_SAID)
                .toList();
        String promise = programme.timeline().sheet().header().promise().text();
        if (promise.isEmpty() && said.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new LastPromise(
                programme.timeline().sheet().header().title(),
                promise,
                PlanCheck.promiseKept(programme.report().findings()),
                programme.cut().clips().isEmpty() ? null : programme.cut().total(),
                said));
    }

    private static List<String> spoken(Programme programme, Segment talk) {
        Match.Placed placed = programme
                .match()
                .segment(talk.id())
                .filter(Match.Placed::matched)
                .orElse(null);
        if (placed == null) {
            return List.of();
        }
        Span<Axis.Take> span = new Span<>(placed.start(), placed.end());
        List<String> said = new ArrayList<>();
        for (TakeEvidence take : programme.heard()) {
            for (Caption caption : take.id().equals(placed.take()) ? take.words() : List.<Caption>of()) {
                if (span.contains(caption.start())) {
                    said.addAll(ofNextTime(caption.text()));
                }
            }
        }
        return said;
    }

    /** The sentences that undertake something for the next time; "see you next week" does not. */
    static List<String> ofNextTime(String text) {
        return Arrays.stream(SENTENCES.split(text.strip()))
                .filter(s -> {
                    String rest = FAREWELL.matcher(s).replaceAll("");
                    return NEXT_TIME.matcher(rest).find()
                            && UNDERTAKES.matcher(rest).find();
                })
                .toList();
    }

    /** In a sentence or two. */
    public String words() {
        return CoreText.of(
                "series.last-promise.words",
                workout.isEmpty() ? CoreText.of("series.series-report.workout") : workout,
                promise.isEmpty() ? "none" : kept ? "kept" : "broken",
                promise,
                recorded == null ? 0 : 1,
                recorded == null ? "" : new Length(Math.round(recorded.seconds()) * 1_000_000L).clock(),
                said.size(),
                said.stream()
                        .map(s -> CoreText.of("series.last-time.quoted", s))
                        .collect(Collectors.joining(" ")));
    }
}
