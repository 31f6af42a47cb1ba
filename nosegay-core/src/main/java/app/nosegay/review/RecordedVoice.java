package app.nosegay.review;

import app.nosegay.captions.Caption;
import app.nosegay.captions.TellingWords;
import app.nosegay.captions.WordAlignment;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.script.Wordings;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A voice recorded after the pictures: each line of the script is found in it, word by word, and laid over its place. The recording may
 * pause as it likes, and a line may be said again.
 */
public final class RecordedVoice {
    /** A line is said in one go; words further apart belong to two tellings of it. */
    private static final Length ONE_GO = Length.ofMillis(1500);

    /** Two lines that meet by less are heard as one breath. */
    private static final Length NOTICED = Length.ofMillis(300);

    private final Timeline timeline;
    private final Match match;
    private final Map<String, Segment> byId = new HashMap<>();
    private final MatchFindings found = new MatchFindings();
    private final List<VoiceOver> overs = new ArrayList<>();
    private final List<ScriptLine> laid = new ArrayList<>();

    private RecordedVoice(Timeline timeline, Match match) {
        this.timeline = timeline;
        this.match = match;
        timeline.segments().forEach(s -> byId.put(s.id(), s));
    }

    /** The takes that show something: all, but where the voice is recorded afterwards those without a picture are the voice. */
    public static List<TakeEvidence> filmed(Timeline timeline, List<TakeEvidence> takes) {
        return timeline.sheet().header().voiceAfterwards()
                ? takes.stream().filter(t -> t.motion().values().length > 0).toList()
                : takes;
    }

    /** Every line of the script where it is said in the recordings of the voice, and what is missing or said otherwise. */
    static ReviewResult laidOver(Timeline timeline, CuePlan cues, Match match, List<TakeEvidence> takes) {
        RecordedVoice voice = new RecordedVoice(timeline, match);
        List<TakeEvidence> filmed = filmed(timeline, takes);
        List<Word> said = takes.stream()
                .filter(t -> !filmed.contains(t))
                .flatMap(t -> t.words().stream().flatMap(c -> words(t.id(), c)))
                .toList();
        voice.lay(cues.lines(), said);
        return new ReviewResult(voice.found.list(), List.of(), voice.overs);
    }

    /** A word of the script or of the voice; of the voice with its take and time. */
    private record Word(int line, String take, Time<Axis.Take> start, Time<Axis.Take> end, String text, String plain) {}

    private static Stream<Word> words(String take, Caption caption) {
        return caption.words().stream().map(w -> new Word(-1, take, w.start(), w.end(), w.text(), plain(w.text())));
    }

    /** Without marks and case, small numbers in words. */
    private static String plain(String word) {
        String bare = word.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
        return bare.matches("\\d{1,2}") ? Wordings.number(Integer.parseInt(bare)) : bare;
    }

    private void lay(List<ScriptLine> lines, List<Word> said) {
        List<Word> wanted = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            for (String w : lines.get(i).text().split("\\s+")) {
                if (!plain(w).isEmpty()) {
                    wanted.add(new Word(i, null, null, null, w, plain(w)));
                }
            }
        }
        List<List<Word>> ofLine = aligned(wanted, said, lines.size());
        List<ScriptLine> silent = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            if (!place(lines.get(i), inOneGo(ofLine.get(i)), said)) {
                silent.add(lines.get(i));
            }
        }
        overlaps();
        if (!silent.isEmpty()) {
            ScriptLine first = silent.get(0);
            found.add(
                    "match.voice-missing",
                    said.isEmpty() ? Severity.NOTE : Severity.FIX,
                    byId.get(first.segment()),
                    CoreText.of("match.voice-missing.message", silent.size(), lines.size(), first.text()),
                    CoreText.of("match.voice-missing.fix"));
        }
    }

    /** The words of the voice that are words of each line. */
    private static List<List<Word>> aligned(List<Word> wanted, List<Word> said, int lines) {
        List<List<Word>> ofLine = new ArrayList<>();
        for (int i = 0; i < lines; i++) {
            ofLine.add(new ArrayList<>());
        }
        int[] partner = WordAlignment.of(
                wanted.stream().map(Word::plain).toList(),
                said.stream().map(Word::plain).toList());
        for (int w = 0; w < partner.length; w++) {
            if (partner[w] >= 0) {
                ofLine.get(wanted.get(w).line()).add(said.get(partner[w]));
            }
        }
        return ofLine;
    }

    /** The largest run of words said in one go. */
    private static List<Word> inOneGo(List<Word> words) {
        List<Word> best = List.of();
        List<Word> run = new ArrayList<>();
        for (Word w : words) {
            Word last = run.isEmpty() ? w : run.get(run.size() - 1);
            if (!last.take().equals(w.take()) || w.start().since(last.end()).compareTo(ONE_GO) > 0) {
                run = new ArrayList<>();
            }
            run.add(w);
            best = run.size() > best.size() ? run : best;
        }
        return best;
    }

    /** Lays a line over its place; false where it is not said. */
    private boolean place(ScriptLine line, List<Word> words, List<Word> said) {
        Match.Placed place =
                match.segment(line.segment()).filter(Match.Placed::matched).orElse(null);
        if (place == null) {
            return true; // Nothing is shown to say it over.
        }
        if (words.isEmpty()) {
            return false;
        }
        Word first = words.get(0);
        Word last = words.get(words.size() - 1);
        String heard = said.subList(said.indexOf(first), said.indexOf(last) + 1).stream()
                .map(Word::text)
                .collect(Collectors.joining(" "));
        if (!TellingWords.matches(line.text(), heard) && !plainText(line.text()).equals(plainText(heard))) {
            return false;
        }
        Segment s = byId.get(line.segment());
        if (!VoiceOver.saysTheSame(line.text(), heard)) {
            found.add(
                    "match.voice-differs",
                    Severity.FIX,
                    s,
                    CoreText.of("match.voice-differs.message", heard, line.text()),
                    CoreText.of("match.voice-differs.fix"));
        }
        Time<Axis.Take> at = place.start().plus(line.start().since(s.start()));
        Misstatement unsaid = new Misstatement(null, place.take(), new Span<>(at, at), "", line.text(), "");
        laid.add(line);
        overs.add(new VoiceOver(unsaid, first.take(), VoiceOver.breath(first.start(), last.end()), heard));
        return true;
    }

    private static String plainText(String text) {
        return Arrays.stream(text.split("\\s+")).map(RecordedVoice::plain).collect(Collectors.joining(" "));
    }

    /** A line that is still being said when the next one begins. */
    private void overlaps() {
        for (int i = 0; i + 1 < laid.size(); i++) {
            Misstatement place = overs.get(i).misstatement();
            Misstatement next = overs.get(i + 1).misstatement();
            Length room = next.span().start().since(place.span().start());
            Length over = overs.get(i).spoken().minus(room);
            boolean together = place.take().equals(next.take()) && room.isPositive();
            if (together && over.compareTo(NOTICED) > 0) {
                found.add(
                        "match.voice-overlaps",
                        Severity.LOOK,
                        byId.get(laid.get(i).segment()),
                        CoreText.of("match.voice-overlaps.message", place.say(), over.seconds(), next.say()),
                        CoreText.of("match.voice-overlaps.fix"));
            }
        }
    }
}
