package app.nosegay.standins;

import app.nosegay.library.CueKind;
import app.nosegay.match.Match;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.function.DoubleFunction;

/** What the presenter says over one run: the script where it fits, and the slips asked for. */
public final class Presenter {
    private static final List<String> FLUFFS = List.of(
            "Sorry, let me start that again.", "Oh no, again from the start.", "Hang on, let me do that one again.");
    private final List<Spoken> spoken = new ArrayList<>();
    private final List<Scenario.Event> events = new ArrayList<>();
    private final List<String> of = new ArrayList<>();
    private final Random misstatements;

    /** What happens in the room, and what goes wrong. */
    record Scene(Timeline timeline, Set<Trouble> troubles, List<Played> played, List<Match.Unplanned> between) {}

    Presenter(Scene run, CuePlan cues, long seed, Random random, DoubleFunction<Time<Axis.Take>> take) {
        List<Played> played = run.played();
        misstatements = new Random(seed * 271 + 3);
        for (ScriptLine line : cues.lines()) {
            double jitter = line.kind() == CueKind.COUNT ? 0 : 0.12 * random.nextDouble();
            for (Played p : played) {
                if (p.ofPlan() && p.segment().id().equals(line.segment())) {
                    say(line, p, jitter, take);
                }
            }
        }
        for (Match.Unplanned u : run.between()) {
            if (u.kind().equals("fluff")) {
                String words = FLUFFS.get(misstatements.nextInt(FLUFFS.size()));
                add(u.span().start().plus(Length.ofMillis(300)), CueKind.CHEER, words, "");
            } else if (u.kind().equals("unplanned")) {
                add(
                        u.span().start().plus(Length.ofMillis(500)),
                        CueKind.CHEER,
                        "Let's add a quick extra one while we are here.",
                        "");
            }
        }
        announceAsDone(run.timeline(), played);
        misstatements(run.timeline(), run.troubles());
        spoken.sort(Comparator.comparing(Spoken::start));
    }

    private void add(Time<Axis.Take> at, CueKind kind, String words, String segment) {
        spoken.add(new Spoken(at, SpeechRate.DEFAULT.toSay(words, false), kind, words));
        of.add(segment);
    }

    private void say(ScriptLine line, Played p, double jitter, DoubleFunction<Time<Axis.Take>> take) {
        Segment s = p.segment();
        double planned = s.duration().seconds();
        double length = p.clock().length().seconds();
        double into = line.start().since(s.start()).seconds();
        // Calls count from the end, as the clock shows it; all else from the start.
        boolean late = line.isCall() && into > planned / 2;
        double at = late && p.role() != Scenario.Role.ABORTED ? into + length - planned : into;
        if (at < 0 || at + (line.isCall() ? 0 : line.spoken().seconds()) > length + 0.5) {
            return;
        }
        spoken.add(new Spoken(
                take.apply(p.clock().start().seconds() + at + jitter), line.spoken(), line.kind(), line.text()));
        of.add(s.id());
    }

    /** Whoever swaps two moves announces the one that comes: names in the rest before it follow. */
    private void announceAsDone(Timeline timeline, List<Played> played) {
        java.util.Map<String, Integer> indexes = timeline.indexes();
        for (int i = 1; i < played.size(); i++) {
            Segment rest = played.get(i - 1).segment();
            int k = indexes.getOrDefault(rest.id(), -1) + 1;
            String planned = k > 0 && k < timeline.segments().size()
                    ? timeline.segments().get(k).move()
                    : null;
            String done = played.get(i).segment().move();
            if (planned == null
                    || done == null
                    || planned.equals(done)
                    || !played.get(i).counts()) {
                continue;
            }
            for (int l = 0; l < spoken.size(); l++) {
                boolean inRest = of.get(l).equals(rest.id());
                int at = spoken.get(l).text().toLowerCase(Locale.ROOT).indexOf(planned.toLowerCase(Locale.ROOT));
                if (inRest && at >= 0) {
                    String was = spoken.get(l).text();
                    replace(l, was.substring(0, at) + done + was.substring(at + planned.length()));
                }
            }
        }
    }

    private void misstatements(Timeline timeline, Set<Trouble> troubles) {
        if (troubles.contains(Trouble.WRONG_CALL)) {
            callEarly();
        }
        if (troubles.contains(Trouble.CALL_MISSING)) {
            callMissing();
        }
        if (troubles.contains(Trouble.WRONG_SIDE)) {
            wrongSide(timeline);
        }
        if (troubles.contains(Trouble.WRONG_NAME)) {
            wrongName(timeline);
        }
    }

    private void callEarly() {
        int i = any(s ->
                s.kind() == CueKind.TIME && s.text().toLowerCase(Locale.ROOT).contains("second"));
        if (i >= 0) {
            Spoken s = spoken.get(i);
            double by = 3 + 3 * misstatements.nextDouble();
            spoken.set(i, new Spoken(s.start().minus(Length.ofSeconds(by)), s.length(), s.kind(), s.text()));
            event(Trouble.WRONG_CALL, i, String.format(Locale.ROOT, "\"%s\" %.1f s early", s.text(), by));
        }
    }

    private void callMissing() {
        int i = any(s -> s.kind() == CueKind.TIME && s.text().matches("(?i).*(?:second|half).*"));
        if (i >= 0) {
            event(Trouble.CALL_MISSING, i, spoken.get(i).text());
            spoken.remove(i);
            of.remove(i);
        }
    }

    private void wrongSide(Timeline timeline) {
        // In talk a side word concerns no side: "when I say left" is as true of right.
        int i = any(
                s -> s.text().matches("(?i).*\\b(?:left|right)\\b.*") && !isTalk(timeline, of.get(spoken.indexOf(s))));
        if (i >= 0) {
            String was = spoken.get(i).text();
            replace(
                    i,
                    was.replaceAll("(?i)\\bleft\\b", "@")
                            .replaceAll("(?i)\\bright\\b", "left")
                            .replace("@", "right"));
            event(Trouble.WRONG_SIDE, i, was);
        }
    }

    private void wrongName(Timeline timeline) {
        List<String> moves = timeline.workMoves(true);
        int i = any(s -> s.kind() == CueKind.NEXT || s.kind() == CueKind.NAME);
        if (i >= 0) {
            String was = spoken.get(i).text();
            String lower = was.toLowerCase(Locale.ROOT);
            String named = moves.stream()
                    .filter(m -> lower.contains(m.toLowerCase(Locale.ROOT)))
                    .findFirst()
                    .orElse(null);
            String other = moves.stream()
                    .filter(m -> !m.equals(named))
                    .skip(misstatements.nextInt(Math.max(1, moves.size() - 1)))
                    .findFirst()
                    .orElse(null);
            if (named != null && other != null) {
                int at = lower.indexOf(named.toLowerCase(Locale.ROOT));
                replace(i, was.substring(0, at) + other + was.substring(at + named.length()));
                event(Trouble.WRONG_NAME, i, named + " called " + other);
            }
        }
    }

    private void event(Trouble trouble, int line, String detail) {
        events.add(new Scenario.Event(trouble, of.get(line), detail));
    }

    private static boolean isTalk(Timeline timeline, String segment) {
        return timeline.segment(segment)
                .filter(s -> s.kind() == SegmentKind.TALK)
                .isPresent();
    }

    private void replace(int i, String words) {
        Spoken s = spoken.get(i);
        spoken.set(i, new Spoken(s.start(), s.length(), s.kind(), words));
    }

    private int any(java.util.function.Predicate<Spoken> wanted) {
        List<Integer> fit = new ArrayList<>();
        for (int i = 0; i < spoken.size(); i++) {
            if (wanted.test(spoken.get(i))) {
                fit.add(i);
            }
        }
        return fit.isEmpty() ? -1 : fit.get(misstatements.nextInt(fit.size()));
    }

    List<Spoken> spoken() {
        return spoken;
    }

    List<Scenario.Event> events() {
        return events;
    }
}
