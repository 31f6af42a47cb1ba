package app.nosegay.script.check;

import app.nosegay.cache.TextMemo;
import app.nosegay.library.BodyWords;
import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.Policy;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CueWays;
import app.nosegay.script.Fields;
import app.nosegay.script.ScriptLine;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Words that have to agree with the plan: sides, numbers, body parts, the cue policy. */
final class WordChecks {
    /** The side of a body; not "right behind", "right away". */
    private static final Pattern SIDE = Pattern.compile(
            "\\b(left|right)\\b(?! (?:in front|behind|under|over|above|below|beside|away|now|here|there|up|down|back|at|by|on)\\b)",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern FIGURE = Pattern.compile(
            "\\b(\\d{1,3}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|fifteen|twenty|"
                    + "thirty) (minutes?|moves?|exercises?|rounds?|sets?)\\b",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern PLACE = Pattern.compile(
            "\\b(?:(move|exercise|round) (?:number )?(\\d{1,2}|one|two|three|four|five|six|seven|eight|"
                    + "nine|ten|eleven|twelve)|(first|second|third|fourth|fifth|last) (round|move|exercise))\\b(?! "
                    + "left| to go)",
            Pattern.CASE_INSENSITIVE);
    private static final List<String> NUMBERS = List.of(
            "zero", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve");
    private static final List<String> ORDINALS = List.of("zeroth", "first", "second", "third", "fourth", "fifth");
    /** Where nothing is chosen they may stand beside another way. */
    private static final Set<String> GOES_WITH_OTHERS = Set.of("in line", "neutral", "below shoulder");

    private static final TextMemo<Set<String>> SIDES = new TextMemo<>(WordChecks::sideWords);
    private static final TextMemo<Boolean> HAS_PLACE =
            new TextMemo<>(text -> PLACE.matcher(text).find());
    private final Timeline timeline;
    private final CuePlan plan;
    private final MoveLibrary library;
    private final LinesOfSegments said;
    private final Map<String, Integer> indexes;
    private final Map<String, Integer> rounds;
    private final List<Finding> findings = new ArrayList<>();

    private WordChecks(Timeline timeline, CuePlan plan, MoveLibrary library) {
        this.timeline = timeline;
        this.plan = plan;
        this.library = library;
        this.said = new LinesOfSegments(timeline, plan);
        this.indexes = timeline.indexes();
        this.rounds = timeline.roundsByBlock();
    }

    static List<Finding> findings(Timeline timeline, CuePlan plan, MoveLibrary library) {
        WordChecks checks = new WordChecks(timeline, plan, library);
        checks.sides();
        checks.numbers();
        checks.bodyParts();
        checks.policy();
        return checks.findings;
    }

    private static Set<String> sideWords(String text) {
        Matcher m = SIDE.matcher(text);
        Set<String> said = new HashSet<>();
        while (m.find()) {
            said.add(m.group(1).toLowerCase(Locale.ROOT));
        }
        return Set.copyOf(said);
    }

    /** A side word against the side that works, as the workout says sides. Alternating moves name both. */
    private void sides() {
        boolean mirrored = timeline.sheet().header().mirrored();
        for (ScriptLine l : plan.lines()) {
            Segment s = said.segment(l.segment());
            boolean one = s.kind().isMoving() && (s.side() == Side.LEFT || s.side() == Side.RIGHT);
            if (!one || s.way() == SideWay.ALTERNATE || l.isCall() || l.kind() == CueKind.NEXT) {
                continue;
            }
            Set<String> said = SIDES.of(l.text());
            String right = s.side().spoken(mirrored);
            if (said.size() == 1 && !said.contains(right)) {
                findings.add(Finding.at(
                                "script.side",
                                Severity.FIX,
                                s,
                                CoreText.of(
                                        "script.side.message",
                                        l.text(),
                                        said.iterator().next(),
                                        s.side().word(),
                                        mirrored ? CoreText.of("script.side.message-2", right) : ""))
                        .withFix(CoreText.of("script.side.fix", right)));
            }
        }
    }

    private static int number(String word) {
        String w = word.toLowerCase(Locale.ROOT);
        return w.matches("\\d{1,9}")
                ? Integer.parseInt(w)
                : w.equals("fifteen") ? 15 : w.equals("twenty") ? 20 : w.equals("thirty") ? 30 : NUMBERS.indexOf(w);
    }

    private void figure(MatchResult m, ScriptLine l, Segment s) {
        int moves = timeline.workMoves(true).size();
        int without = timeline.workMoves(false).size();
        int rounds = Fields.rounds(timeline);
        long minutes = Math.round(timeline.total().seconds() / 60);
        int said = number(m.group(1));
        String what = m.group(2).toLowerCase(Locale.ROOT);
        boolean ofMinutes = what.startsWith("minute");
        boolean ofRounds = what.startsWith("round");
        boolean right = ofMinutes
                ? Math.abs(said - minutes) <= 1 || smallTalk(l.text())
                : ofRounds ? said == rounds || rounds == 1 : what.startsWith("set") || said == moves || said == without;
        if (right) {
            return;
        }
        String is = ofMinutes
                ? CoreText.of("script.word-checks.minutes", minutes)
                : ofRounds
                        ? CoreText.of("script.word-checks.rounds", rounds)
                        : CoreText.of("script.word-checks.moves", moves);
        String fix = ofMinutes
                ? CoreText.of("script.number.fix-2")
                : ofRounds ? CoreText.of("script.number.fix-3") : CoreText.of("script.number.fix-4");
        findings.add(Finding.at(
                        "script.number", Severity.FIX, s, CoreText.of("script.number.message", l.text(), m.group(), is))
                .withFix(CoreText.of("script.number.fix", fix)));
    }

    /** Figures of the plan in talk, and places in the order while working. */
    private void numbers() {
        List<String> moves = timeline.workMoves(true);
        for (ScriptLine l : plan.lines()) {
            Segment s = said.segment(l.segment());
            if (s.kind() == SegmentKind.TALK) {
                FIGURE.matcher(l.text()).results().forEach(m -> figure(m, l, s));
            } else if (s.line() != null) {
                places(l, s, moves);
            }
        }
    }

    /** "Two minutes of stretching" is not the length of the workout. */
    private static boolean smallTalk(String text) {
        return text.matches("(?i).*minutes? (?:of|to|for|left|into|each).*");
    }

    private void places(ScriptLine l, Segment s, List<String> moves) {
        if (!HAS_PLACE.of(l.text())) {
            return;
        }
        Matcher m = PLACE.matcher(l.text());
        while (m.find()) {
            boolean byNumber = m.group(1) != null;
            String what = (byNumber ? m.group(1) : m.group(4)).toLowerCase(Locale.ROOT);
            boolean last = !byNumber && m.group(3).equalsIgnoreCase("last");
            int said =
                    byNumber ? number(m.group(2)) : ORDINALS.indexOf(m.group(3).toLowerCase(Locale.ROOT));
            Segment about = aboutNext(l, s);
            int is = what.equals("round")
                    ? (about.round() == null ? 0 : about.round())
                    : moves.indexOf(about.move()) + 1;
            int of = what.equals("round") ? rounds(about) : moves.size();
            boolean right = is == 0 || (last ? is == of : said == is);
            if (!right) {
                findings.add(Finding.at(
                                "script.number",
                                Severity.FIX,
                                s,
                                CoreText.of("script.number.message-2", l.text(), m.group(), what, is, of))
                        .withFix(CoreText.of("script.number.fix-5", what, is)));
            }
        }
    }

    /** A line in a rest speaks of what comes. */
    private Segment aboutNext(ScriptLine l, Segment s) {
        if (s.kind().isMoving() && l.kind() != CueKind.NEXT) {
            return s;
        }
        int at = indexes.get(s.id());
        return timeline.segments().subList(at + 1, timeline.segments().size()).stream()
                .filter(o -> o.kind().isMoving())
                .findFirst()
                .orElse(s);
    }

    private int rounds(Segment s) {
        return rounds.getOrDefault(s.block().slug(), 1);
    }

    /** Where it should be felt, and what the move trains. */
    private void bodyParts() {
        Set<String> told = new HashSet<>();
        for (ScriptLine l : plan.lines()) {
            Segment s = said.segment(l.segment());
            boolean about = l.kind() == CueKind.MUSCLE || l.kind() == CueKind.FEEL;
            List<Move> moves = s.moves(library);
            if (!about || moves.isEmpty() || !s.kind().isMoving()) {
                continue;
            }
            List<String> wrong = BodyWords.onlyOthers(l.text(), moves);
            if (!wrong.isEmpty() && told.add(s.move() + l.text())) {
                findings.add(Finding.at(
                                "script.body-part",
                                Severity.LOOK,
                                s,
                                CoreText.of("script.body-part.message", l.text(), wrong.get(0), s.move()))
                        .withFix(CoreText.of("script.body-part.fix")));
            }
        }
    }

    /** Ways of cueing that contradict the chosen one, or each other. A caution is no matter of choice. */
    private void policy() {
        Policy policy = timeline.sheet().header().policy();
        Map<CueWays.Way, ScriptLine> first = new LinkedHashMap<>();
        for (ScriptLine l : plan.lines()) {
            if (l.kind() != CueKind.CAUTION) {
                CueWays.in(l.text()).forEach(w -> first.putIfAbsent(w, l));
            }
        }
        first.forEach((way, line) -> {
            if (way.isAgainst(policy)) {
                String chosen = policy.choice(way.topic()).orElse("");
                findings.add(Finding.at(
                                "script.policy",
                                Severity.FIX,
                                said.segment(line.segment()),
                                CoreText.of("script.policy.message", line.text(), way.topic(), way.way(), chosen))
                        .withFix(CoreText.of("script.policy.fix")));
            }
        });
        for (String topic : CueWays.allTopics()) {
            List<CueWays.Way> differing = first.keySet().stream()
                    .filter(w -> w.topic().equals(topic) && !GOES_WITH_OTHERS.contains(w.way()))
                    .toList();
            if (CueWays.chosen(policy, topic).isEmpty() && differing.size() > 1 && !topic.equals("gaze")) {
                ScriptLine second = first.get(differing.get(1));
                findings.add(Finding.at(
                                "script.policy",
                                Severity.LOOK,
                                said.segment(second.segment()),
                                CoreText.of(
                                        "script.policy.message-2",
                                        second.text(),
                                        first.get(differing.get(0)).text(),
                                        topic))
                        .withFix(CoreText.of(
                                "script.policy.fix-2", topic, differing.get(0).way())));
            }
        }
    }
}
