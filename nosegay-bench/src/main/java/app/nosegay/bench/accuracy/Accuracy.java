package app.nosegay.bench.accuracy;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.match.Matcher;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.shoot.ShootLog;
import app.nosegay.standins.Performance;
import app.nosegay.standins.Trouble;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.Consumer;

/** How far the matcher is from the truth on simulated evidence, per level of evidence and per trouble. */
public final class Accuracy {
    /** The levels of evidence, strongest first, with the tolerance a boundary has to keep (docs/domain.md), in seconds. */
    public enum Level {
        TONES(1 / 30.0),
        LOG(0.15),
        BEEPS(0.15),
        WORDS(1.0),
        MOTION(2.0),
        ALL(0.15);

        private final double tolerance;

        Level(double tolerance) {
            this.tolerance = tolerance;
        }

        public double tolerance() {
            return tolerance;
        }
    }

    /** Errors of boundaries gathered over runs. */
    public static final class Errors {
        private final List<Double> seconds = new ArrayList<>();
        private int boundaries;
        private int within;
        private int sure;
        private int sureAndRight;
        private int falseMissing;
        private int falseFound;
        private int told;
        private int toldRight;

        void add(Errors other) {
            seconds.addAll(other.seconds);
            boundaries += other.boundaries;
            within += other.within;
            sure += other.sure;
            sureAndRight += other.sureAndRight;
            falseMissing += other.falseMissing;
            falseFound += other.falseFound;
            told += other.told;
            toldRight += other.toldRight;
        }

        /** The share of all true boundaries found within the level's tolerance. */
        public double share() {
            return boundaries == 0 ? 1 : within / (double) boundaries;
        }

        /** The share of all boundaries that nobody need look at: of doubt 0.1 at most. */
        public double sureShare() {
            return sure / (double) Math.max(1, boundaries);
        }

        /** Of the boundaries with a doubt of at most 0.1, the share within tolerance. */
        public double calibration() {
            return sure == 0 ? 1 : sureAndRight / (double) sure;
        }

        /** Of the boundaries that are unsure, the share that is between the moments that are told, give or take half a second. */
        public double between() {
            return told == 0 ? 1 : toldRight / (double) told;
        }

        public int boundaries() {
            return boundaries;
        }

        private double percentile(double share) {
            double[] sorted = seconds.stream().mapToDouble(d -> d).sorted().toArray();
            return sorted.length == 0 ? 0 : sorted[(int) Math.min(sorted.length - 1, share * sorted.length)];
        }

        @Override
        public String toString() {
            return String.format(
                    Locale.ROOT,
                    "%6.2f %%   median %6.3f   p90 %7.3f   p99 %8.3f   sure %5.1f %% of %5d, right %6.2f %%"
                            + "   missed %d, made up %d, unsure %d, between %5.1f %%",
                    100 * share(),
                    percentile(0.5),
                    percentile(0.9),
                    percentile(0.99),
                    100 * sureShare(),
                    boundaries,
                    100 * calibration(),
                    falseMissing,
                    falseFound,
                    told,
                    100 * between());
        }
    }

    /** Troubles that change when things happen or what is heard of it; the others concern the sound or single words alone. */
    private static final List<Trouble> ORDER_AND_EVIDENCE = List.of(
            Trouble.LATE_START,
            Trouble.EARLY_START,
            Trouble.SHORT_SET,
            Trouble.CLOCK_RATE,
            Trouble.HOLD,
            Trouble.MISSED_BEEPS,
            Trouble.HAND_CLOCK,
            Trouble.SKIP,
            Trouble.SWAP,
            Trouble.REPEAT,
            Trouble.UNPLANNED_MOVE,
            Trouble.EXTRA_BEEPS,
            Trouble.FOREIGN_TIMER,
            Trouble.FLUFF,
            Trouble.DEAD_AIR,
            Trouble.STOP_START,
            Trouble.WRONG_CALL,
            Trouble.TIMER_LEFT_ON);

    /** A doubt up to this nobody need look at. */
    private static final double SURE = 0.1;

    private static final Length SPARE = Length.ofMillis(500);

    private Accuracy() {}

    /** The errors of one run at one level of evidence. */
    public static Errors of(String sheet, long seed, Set<Trouble> troubles, Level level) {
        return of(run(sheet, seed, troubles), level);
    }

    /** A run of a sheet. */
    static Performance run(String sheet, long seed, Set<Trouble> troubles) {
        MoveLibrary library = MoveLibrary.shipped();
        Timeline timeline = Expansion.expand(RunSheetParser.parse(sheet, library), library);
        CuePlan cues = CuePlanner.plan(timeline, library, SpeechRate.DEFAULT);
        return Performance.of(timeline, cues, seed, troubles);
    }

    static Errors of(Performance p, Level level) {
        return of(p, "t", p.evidences("t"), level);
    }

    /** The errors of a run of which {@code all} was seen and heard, as far as the level goes. */
    static Errors of(Performance p, String id, List<TakeEvidence> all, Level level) {
        List<TakeEvidence> takes = all.stream().map(e -> limited(e, level)).toList();
        boolean logged = level == Level.TONES || level == Level.LOG;
        List<ShootLog> logs = new ArrayList<>();
        takes.forEach(t -> logs.add(logged ? p.log() : null));
        Match found = Matcher.match(p.timeline(), p.lines(), takes, logs, List.of(), Map.of());
        return compare(p.truthInParts(id), found, level.tolerance());
    }

    private static TakeEvidence limited(TakeEvidence e, Level level) {
        boolean all = level == Level.ALL;
        return new TakeEvidence(
                        e.id(),
                        e.file(),
                        e.length(),
                        level == Level.TONES ? e.tones() : List.of(),
                        all || level == Level.BEEPS || level == Level.LOG ? e.beeps() : List.of(),
                        e.loudnessWithoutSignals(),
                        level == Level.WORDS || level == Level.BEEPS ? Trace.NONE : e.motion(),
                        level == Level.WORDS || level == Level.BEEPS ? null : e.pose(),
                        all || level == Level.WORDS ? e.words() : List.of())
                .withVoice(e.voice());
    }

    /** Start and end of every segment against the truth. */
    static Errors compare(Match truth, Match found, double tolerance) {
        Errors errors = new Errors();
        for (int k = 0; k < truth.segments().size(); k++) {
            Match.Placed t = truth.segments().get(k);
            Match.Placed f = found.segments().get(k);
            if (!t.matched() || !f.matched()) {
                errors.falseMissing += t.matched() ? 1 : 0;
                errors.falseFound += f.matched() ? 1 : 0;
                errors.boundaries += t.matched() ? 2 : 0;
                continue;
            }
            boolean sameTake = t.take().equals(f.take());
            one(errors, sameTake ? Math.abs(f.start().since(t.start()).seconds()) : 999, f.startDoubt(), tolerance);
            one(errors, sameTake ? Math.abs(f.end().since(t.end()).seconds()) : 999, f.endDoubt(), tolerance);
            between(errors, sameTake ? t.start() : null, f.startDoubt(), f.startLikely());
            between(errors, sameTake ? t.end() : null, f.endDoubt(), f.endLikely());
        }
        return errors;
    }

    private static void between(Errors errors, Time<Axis.Take> truth, double doubt, Span<Axis.Take> likely) {
        if (doubt > SURE) {
            errors.told++;
            errors.toldRight += truth != null
                            && !truth.isBefore(likely.start().minus(SPARE))
                            && !truth.isAfter(likely.end().plus(SPARE))
                    ? 1
                    : 0;
        }
    }

    private static void one(Errors errors, double off, double doubt, double tolerance) {
        boolean right = off <= tolerance + 1e-6;
        errors.seconds.add(off);
        errors.boundaries++;
        errors.within += right ? 1 : 0;
        errors.sure += doubt <= SURE ? 1 : 0;
        errors.sureAndRight += doubt <= SURE && right ? 1 : 0;
    }

    /** How many of the stretches nobody planned were found, and how many that were found are none. */
    public record Unplanned(int found, int all, int madeUp) {}

    /** The same of a run with one move nobody planned, at one level of evidence. */
    public static Unplanned unplanned(String sheet, long seed, Level level) {
        MoveLibrary library = MoveLibrary.shipped();
        Timeline timeline = Expansion.expand(RunSheetParser.parse(sheet, library), library);
        CuePlan cues = CuePlanner.plan(timeline, library, SpeechRate.DEFAULT);
        Performance p = Performance.of(timeline, cues, seed, EnumSet.of(Trouble.UNPLANNED_MOVE));
        List<TakeEvidence> takes =
                p.evidences("t").stream().map(e -> limited(e, level)).toList();
        List<Match.Unplanned> truth = p.truthInParts("t").unplanned();
        List<Match.Unplanned> found = Matcher.match(
                        timeline, p.lines(), takes, Collections.nCopies(takes.size(), null), List.of(), Map.of())
                .unplanned();
        long told = truth.stream()
                .filter(t -> found.stream().anyMatch(f -> f.span().overlaps(t.span())))
                .count();
        long none = found.stream()
                .filter(f -> truth.stream().noneMatch(t -> f.span().overlaps(t.span())))
                .count();
        return new Unplanned((int) told, truth.size(), (int) none);
    }

    /** The troubles of run {@code seed} of a mixed series: one to three of those that concern the order and the evidence. */
    static Set<Trouble> mixed(long seed) {
        Set<Trouble> troubles = EnumSet.noneOf(Trouble.class);
        Random random = new Random(seed * 37 + 1);
        int n = 1 + random.nextInt(3);
        while (troubles.size() < n) {
            troubles.add(ORDER_AND_EVIDENCE.get(random.nextInt(ORDER_AND_EVIDENCE.size())));
        }
        return troubles;
    }

    /** The errors of each level over {@code runs} mixed runs per sheet. */
    public static Map<Level, Errors> levels(List<String> sheets, int runs) {
        Map<Level, Errors> errors = new EnumMap<>(Level.class);
        for (Level level : Level.values()) {
            Errors sum = new Errors();
            for (String sheet : sheets) {
                for (long seed = 1; seed <= runs; seed++) {
                    sum.add(of(sheet, seed, mixed(seed), level));
                }
            }
            errors.put(level, sum);
        }
        return errors;
    }

    /** The whole table as text: {@code runs} mixed runs per sheet and level, then each trouble alone with beeps and with everything. */
    public static void table(List<String> sheets, int runs, int alone, Consumer<String> lines) {
        for (Level level : List.of(Level.MOTION, Level.ALL)) {
            Unplanned sum = new Unplanned(0, 0, 0);
            for (String sheet : sheets) {
                for (long seed = 1; seed <= alone; seed++) {
                    Unplanned one = unplanned(sheet, seed, level);
                    sum = new Unplanned(sum.found + one.found, sum.all + one.all, sum.madeUp + one.madeUp);
                }
            }
            lines.accept(String.format(
                    "unplanned moves %-6s found %d of %d, made up %d", level, sum.found, sum.all, sum.madeUp));
        }
        levels(sheets, runs)
                .forEach((level, errors) -> lines.accept(
                        String.format(Locale.ROOT, "%-22s within %.3f s: %s", level, level.tolerance(), errors)));
        for (Trouble trouble : ORDER_AND_EVIDENCE) {
            for (Level level : List.of(Level.BEEPS, Level.WORDS, Level.MOTION)) {
                Errors errors = of(sheets, alone, trouble, level);
                lines.accept(String.format(
                        Locale.ROOT, "%-16s%-6s within %.3f s: %s", trouble.word(), level, level.tolerance(), errors));
            }
        }
    }

    private static Errors of(List<String> sheets, int alone, Trouble trouble, Level level) {
        Errors errors = new Errors();
        for (String sheet : sheets) {
            for (long seed = 1; seed <= alone; seed++) {
                errors.add(of(sheet, seed, EnumSet.of(trouble), level));
            }
        }
        return errors;
    }
}
