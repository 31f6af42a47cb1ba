package app.nosegay.review;

import app.nosegay.captions.Caption;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.library.MuscleGroup;
import app.nosegay.match.Match;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.review.said.ScriptLineMatch;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.apache.commons.codec.language.DoubleMetaphone;
import org.apache.commons.text.similarity.LevenshteinDistance;

/**
 * A correction of a caption that is offered.
 *
 * @param time when the caption starts
 * @param from the words as transcribed
 * @param to the words instead; empty to delete the line
 * @param why side, negation, name, count, repeated or sung
 */
public record CaptionRepair(String take, Time<Axis.Take> time, String from, String to, String why) {
    /** What turns an instruction round comes first. */
    private static final List<String> ORDER = List.of("negation", "side", "name", "count", "repeated", "sung");

    private static final Pattern NEGATION =
            Pattern.compile("(?i)\\b(?:don't|do not|never|not|no|avoid|without|doesn't|shouldn't|can't|must not)\\b");
    private static final Pattern SUNG =
            Pattern.compile("♪|♫|(?i)\\[(?:music|singing|song)[^\\]]*\\]|\\((?:music|singing)\\)");
    private static final Pattern COUNT = Pattern.compile(
            "(?i)(?:\\b(?:one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)\\b[\\s,.]*){4,}");
    private static final List<String> NUMBERS = List.of(
            "zero", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve");
    /** The same line this often in a row is a recogniser's echo over music or silence. */
    private static final int ECHO = 3;

    /** Shorter words sound like too many others. */
    private static final int LEAST_LETTERS = 5;

    private static final double LETTERS_ALIKE = 0.68;
    private static final double SOUNDS_ALIKE = 0.75;
    private static final DoubleMetaphone SOUND = sound();

    private static DoubleMetaphone sound() {
        DoubleMetaphone sound = new DoubleMetaphone();
        sound.setMaxCodeLen(12);
        return sound;
    }

    /** All corrections worth offering, those that turn an instruction round first. */
    public static List<CaptionRepair> of(
            Timeline timeline, Match match, List<TakeEvidence> takes, List<ScriptLineMatch> said, MoveLibrary library) {
        List<CaptionRepair> repairs = new ArrayList<>();
        Map<String, Segment> byId = new HashMap<>();
        timeline.segments().forEach(s -> byId.put(s.id(), s));
        Map<String, Integer> indexes = timeline.indexes();
        for (TakeEvidence take : takes) {
            List<Match.Placed> inTake = match.segments().stream()
                    .filter(p -> take.id().equals(p.take()))
                    .sorted(Comparator.comparing(Match.Placed::start))
                    .toList();
            for (int i = 0; i < take.words().size(); i++) {
                Caption c = take.words().get(i);
                if (SUNG.matcher(c.text()).find()) {
                    repairs.add(new CaptionRepair(take.id(), c.start(), c.text(), "", "sung"));
                    continue;
                }
                if (isEcho(take.words(), i)) {
                    repairs.add(new CaptionRepair(take.id(), c.start(), c.text(), "", "repeated"));
                    continue;
                }
                count(take.id(), c, repairs);
                inTake.stream()
                        .filter(p -> !c.start().isBefore(p.start()) && c.start().isBefore(p.end()))
                        .findFirst()
                        .ifPresent(p -> names(take.id(), c, around(timeline, indexes.get(p.id())), library, repairs));
            }
        }
        said.stream().filter(ScriptLineMatch::isSaid).forEach(s -> turnedRound(s, takes, repairs));
        Set<CaptionRepair> distinct = new LinkedHashSet<>(repairs);
        List<CaptionRepair> sorted = new ArrayList<>(distinct);
        sorted.sort(Comparator.comparingInt((CaptionRepair r) -> ORDER.indexOf(r.why())));
        return sorted;
    }

    private static boolean isEcho(List<Caption> words, int i) {
        String text = words.get(i).text();
        int same = 0;
        for (int j = i - 1; j >= 0 && words.get(j).text().equalsIgnoreCase(text); j--) {
            same++;
        }
        // The first of them may have been said.
        boolean run = same > 0;
        int after = 0;
        for (int j = i + 1; j < words.size() && words.get(j).text().equalsIgnoreCase(text); j++) {
            after++;
        }
        return run && same + after + 1 >= ECHO && text.split("\\s+").length > 1;
    }

    private static void count(String take, Caption c, List<CaptionRepair> repairs) {
        var m = COUNT.matcher(c.text());
        if (m.find()) {
            List<String> digits = new ArrayList<>();
            for (String w : m.group().toLowerCase(Locale.ROOT).split("[^a-z]+")) {
                if (NUMBERS.contains(w)) {
                    digits.add(String.valueOf(NUMBERS.indexOf(w)));
                }
            }
            repairs.add(new CaptionRepair(take, c.start(), m.group().strip(), String.join(" ", digits), "count"));
        }
    }

    /** The segment and the moves before and after it: what is spoken of at the moment. */
    private static List<Segment> around(Timeline timeline, int k) {
        List<Segment> near = new ArrayList<>();
        near.add(timeline.segments().get(k));
        for (int i = k + 1; i < Math.min(timeline.segments().size(), k + 3); i++) {
            near.add(timeline.segments().get(i));
        }
        return near;
    }

    private static void names(
            String take, Caption c, List<Segment> near, MoveLibrary library, List<CaptionRepair> repairs) {
        String[] words = c.text().split("\\s+");
        for (String term : vocabulary(near, library)) {
            String plain = term.replaceAll("[^\\p{L}]+", " ").strip();
            boolean said = (" " + letters(c.text()) + " ").contains(" " + plain);
            if (plain.length() >= LEAST_LETTERS && !said) {
                Optional<String> mangled = mangled(words, plain);
                if (mangled.isPresent()) {
                    repairs.add(new CaptionRepair(take, c.start(), bare(mangled.get()), term, "name"));
                    return;
                }
            }
        }
    }

    /** The words that probably are {@code meant} misheard, one word more or less than it has. */
    private static Optional<String> mangled(String[] words, String meant) {
        int length = meant.split(" ").length;
        for (int size = Math.max(1, length - 1); size <= length + 1; size++) {
            for (int from = 0; from + size <= words.length; from++) {
                String said = String.join(" ", List.of(words).subList(from, from + size));
                if (isMangled(letters(said), meant)) {
                    return Optional.of(said);
                }
            }
        }
        return Optional.empty();
    }

    /** Names, gear and muscles of what is done. */
    private static Set<String> vocabulary(List<Segment> near, MoveLibrary library) {
        Set<String> vocabulary = new LinkedHashSet<>();
        near.stream().filter(s -> s.move() != null).forEach(s -> {
            vocabulary.add(s.move().toLowerCase(Locale.ROOT));
            for (Move move : s.moves(library)) {
                vocabulary.addAll(move.gear());
                Arrays.stream(MuscleGroup.values())
                        .filter(g -> move.share(g) > 0)
                        .map(g -> g.word().replace('-', ' '))
                        .forEach(vocabulary::add);
            }
        });
        return vocabulary;
    }

    private static String letters(String text) {
        return text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}]+", " ").strip();
    }

    private static String bare(String text) {
        return text.replaceAll("^[^\\p{L}\\p{N}]+|[^\\p{L}\\p{N}]+$", "");
    }

    /** Whether {@code said} is probably {@code meant} misheard: like in letters and in sound, but another word. */
    static boolean isMangled(String said, String meant) {
        String a = said.replace(" ", "");
        String b = meant.replace(" ", "");
        if (a.equals(b) || a.equals(b + "s") || a.isEmpty() || Math.abs(a.length() - b.length()) > 3) {
            return false;
        }
        double letters = alike(a, b);
        double sounds = alike(code(said), code(meant));
        return letters >= LETTERS_ALIKE && sounds >= SOUNDS_ALIKE
                || sounds >= 0.99 && letters >= 0.5 && b.length() >= 6;
    }

    private static String code(String text) {
        StringBuilder code = new StringBuilder();
        for (String w : text.split(" ")) {
            String of = SOUND.doubleMetaphone(w);
            // Recognisers confuse voiced and voiceless stops at the ends of words.
            code.append(of == null ? "" : of.replace('B', 'P').replace('D', 'T').replace('G', 'K'));
        }
        return code.toString();
    }

    private static double alike(String a, String b) {
        int longest = Math.max(a.length(), b.length());
        return longest == 0 ? 1 : 1 - LevenshteinDistance.getDefaultInstance().apply(a, b) / (double) longest;
    }

    /** A scripted "don't" that is not in the caption, or the other side. */
    private static void turnedRound(ScriptLineMatch s, List<TakeEvidence> takes, List<CaptionRepair> repairs) {
        Caption c = takes.stream()
                .filter(t -> t.id().equals(s.take()))
                .flatMap(t -> t.words().stream())
                .filter(w -> w.start().equals(s.time()))
                .findFirst()
                .orElse(null);
        if (c == null || s.likeness() < 0.7) {
            return;
        }
        String script = s.line().text();
        boolean lost =
                NEGATION.matcher(script).find() && !NEGATION.matcher(c.text()).find();
        boolean sameLength = Math.abs(script.split("\\s+").length - c.text().split("\\s+").length) <= 3;
        if (lost && sameLength) {
            repairs.add(new CaptionRepair(s.take(), c.start(), c.text(), script, "negation"));
        }
        String scripted = side(script);
        String said = side(c.text());
        if (scripted != null && said != null && !scripted.equals(said)) {
            String to = c.text().replaceAll("(?i)\\b" + said + "\\b", scripted);
            repairs.add(new CaptionRepair(s.take(), c.start(), c.text(), to, "side"));
        }
    }

    private static String side(String text) {
        boolean left = text.matches("(?i).*\\bleft\\b.*");
        boolean right = text.matches("(?i).*\\bright\\b.*");
        return left == right ? null : left ? "left" : "right";
    }
}
