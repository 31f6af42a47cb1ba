package app.nosegay.calibration;

import app.nosegay.calls.CallKind;
import app.nosegay.captions.Caption;
import app.nosegay.captions.TellingWords;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.library.BodyWords;
import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheet.Cue;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.review.said.HeardCall;
import app.nosegay.script.CuePlan;
import app.nosegay.script.SpeechStyle;
import app.nosegay.script.Wordings;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The creator's own phrases for what every trainer says, from the calls and captions of matched takes. */
public final class StyleCalibration {
    /** A word said less often than this is no habit. */
    private static final int LEAST_TIMES = 3;
    /** A habit is what is said in more than this share of the cases. */
    private static final double MOSTLY = 0.5;
    /** Longer phrases say more than "go" or "rest". */
    private static final int LONGEST_CALL = 5;

    private static final int SHORTEST_CHEER = 2;
    private static final int LONGEST_CHEER = 8;
    /** Cheers are said again and again; what was said once may have been about anything. */
    private static final int LEAST_CHEERED = 2;
    /** Fewer cheers than this would come too often; the usual ones stay. */
    private static final int LEAST_CHEERS = 3;

    private static final int MOST_CHEERS = 12;
    private static final Pattern NAMED = Pattern.compile("\\b(?:left|right)\\b");
    private static final Pattern SENTENCE = Pattern.compile("(?<=[.!?])\\s+");

    private StyleCalibration() {}

    /** The takes, and the calls in them. */
    public record Heard(List<TakeEvidence> takes, List<HeardCall> calls) {}

    /** The style heard; what was not heard often enough stays as in {@code otherwise}. */
    public static SpeechStyle of(
            Timeline timeline, MoveLibrary library, CuePlan cues, Match match, Heard heard, SpeechStyle otherwise) {
        List<HeardCall> calls = heard.calls();
        String start = habit(calls, CallKind.START, otherwise.start());
        String rest = habit(calls, CallKind.REST, otherwise.rest());
        List<String> switches = texts(calls, CallKind.SWITCH_SIDE);
        long named = switches.stream().filter(t -> NAMED.matcher(t).find()).count();
        boolean names = switches.size() < LEAST_TIMES ? otherwise.namesSides() : named >= MOSTLY * switches.size();
        List<String> cheers = cheers(timeline, library, cues, match, heard);
        return new SpeechStyle(start, rest, names, cheers.size() < LEAST_CHEERS ? otherwise.cheers() : cheers);
    }

    private static List<String> texts(List<HeardCall> calls, CallKind kind) {
        return calls.stream()
                .filter(c -> c.call().kind() == kind)
                .map(c -> plain(c.call().text()))
                .toList();
    }

    private static String habit(List<HeardCall> calls, CallKind kind, String otherwise) {
        List<String> said = texts(calls, kind);
        Map<String, Long> counts =
                said.stream().collect(Collectors.groupingBy(t -> t, LinkedHashMap::new, Collectors.counting()));
        return counts.entrySet().stream()
                .filter(e -> e.getValue() >= LEAST_TIMES && e.getValue() > MOSTLY * said.size())
                .filter(e -> e.getKey().split(" ").length <= LONGEST_CALL)
                .filter(e -> !e.getKey().equals(plain(otherwise)))
                .map(e -> Wordings.capital(e.getKey()) + (kind == CallKind.START ? "!" : "."))
                .findFirst()
                .orElse(otherwise);
    }

    private static String plain(String text) {
        return text.toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}' ]+", " ")
                .replaceAll("\\s+", " ")
                .strip();
    }

    /** Short sentences said again and again while working that are neither calls nor scripted, and name no move, body part or number. */
    private static List<String> cheers(Timeline timeline, MoveLibrary library, CuePlan cues, Match match, Heard in) {
        Set<String> working = timeline.segments().stream()
                .filter(s -> s.kind() == SegmentKind.WORK)
                .map(s -> s.id())
                .collect(Collectors.toSet());
        Set<String> scripted = new HashSet<>();
        cues.lines().forEach(l -> List.of(SENTENCE.split(l.text())).forEach(t -> scripted.add(plain(t))));
        Map<String, List<String>> said = new LinkedHashMap<>();
        for (TakeEvidence take : in.takes()) {
            List<HeardCall> own =
                    in.calls().stream().filter(c -> c.take().equals(take.id())).toList();
            List<Match.Placed> work = match.segments().stream()
                    .filter(p ->
                            p.matched() && working.contains(p.id()) && p.take().equals(take.id()))
                    .toList();
            take.words().stream()
                    .filter(c -> isAtWork(c, work) && !isCall(c, own))
                    .flatMap(c -> SENTENCE.splitAsStream(c.text().strip()))
                    .forEach(sentence -> said.computeIfAbsent(plain(sentence), k -> new ArrayList<>())
                            .add(sentence.strip()));
        }
        Stream<String> written = timeline.sheet().blocks().stream()
                .flatMap(
                        b -> Stream.concat(b.cues().stream(), b.moves().stream().flatMap(m -> m.cues().stream())))
                .filter(c -> c.kind() == CueKind.CHEER && !c.text().contains("{"))
                .map(Cue::text);
        Stream<String> heard = said.entrySet().stream()
                .filter(e -> e.getValue().size() >= LEAST_CHEERED && isCheer(e.getKey(), library))
                .filter(e -> !scripted.contains(e.getKey()))
                .map(e -> e.getValue().get(0));
        return Stream.concat(written, heard).distinct().limit(MOST_CHEERS).toList();
    }

    private static boolean isAtWork(Caption c, List<Match.Placed> work) {
        return work.stream()
                .anyMatch(p -> !c.start().isBefore(p.start()) && c.start().isBefore(p.end()));
    }

    private static boolean isCall(Caption c, List<HeardCall> calls) {
        return calls.stream()
                .anyMatch(o -> o.call().time().isBefore(c.end())
                        && c.start().isBefore(o.call().end()));
    }

    private static boolean isCheer(String plain, MoveLibrary library) {
        int words = plain.split(" ").length;
        return words >= SHORTEST_CHEER
                && words <= LONGEST_CHEER
                && !plain.matches(".*\\d.*")
                && TellingWords.of(plain).stream()
                        .noneMatch(w -> library.find(w).isPresent())
                && !BodyWords.anyIn(plain);
    }
}
