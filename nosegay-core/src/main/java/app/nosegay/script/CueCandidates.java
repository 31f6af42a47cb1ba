package app.nosegay.script;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toList;

import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.library.Position;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.Audience;
import app.nosegay.plan.check.Cautions;
import app.nosegay.plan.check.GearList;
import app.nosegay.plan.sheet.RunSheet.Cue;
import app.nosegay.plan.sheet.RunSheet.LevelLine;
import app.nosegay.plan.terms.Level;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.script.CueCandidate.Window;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What should be said about each stretch, and where (docs/domain.md, "Cue plan"): full set-up, first form cue and options the first
 * time; later a refresher, one new cue, advice on the load; never the same form line every round.
 */
final class CueCandidates {
    /** Under this much work, set-up and options move to the window before (docs/domain.md). */
    private static final Length SHORT_WORK = Length.ofSeconds(25);
    /** What a later round reminds of, in turn. */
    private static final List<CueKind> REFRESHERS = List.of(CueKind.AVOID, CueKind.FEEL, CueKind.CHECK);
    /** What a later round adds, in turn. */
    private static final List<CueKind> NEWS = List.of(CueKind.IMAGE, CueKind.MUSCLE, CueKind.WHY);
    /** As above, for a move of which is said what it feels like: that names the muscles already. */
    private static final List<CueKind> NEWS_OF_FELT = List.of(CueKind.IMAGE, CueKind.WHY);

    private static final String MORE = "If that was easy and you have something heavier, take it.";

    private final Timeline timeline;
    private final MoveLibrary library;
    private final Wordings wordings;
    private final Fields fields;
    private final SpeechStyle style;
    private final List<Segment> segments;
    private final Announcements announcements;
    private final boolean loadAdvised;
    private final Map<String, Integer> met = new HashMap<>();
    private final Set<Integer> ownSaid = new HashSet<>();
    private final Set<String> cautioned = new HashSet<>();
    private final Map<String, List<Cautions.Rule>> cautions;
    private final TurnCandidates turns;
    private int cheers;
    private Segment moved;

    CueCandidates(Timeline timeline, MoveLibrary library, Fields fields, SpeechStyle style) {
        this.style = style;
        this.timeline = timeline;
        this.library = library;
        this.wordings = new Wordings(library, timeline.sheet().header());
        this.fields = fields;
        this.segments = timeline.segments();
        this.announcements = new Announcements(timeline, library);
        this.turns = new TurnCandidates(library, fields, this::cheer);
        this.cautions = Cautions.raised(timeline, library).stream()
                .filter(r -> r.rule().level() == Cautions.Level.CAUTION)
                .collect(groupingBy(r -> r.segment().id(), mapping(Cautions.Raised::rule, toList())));
        this.loadAdvised =
                Cautions.audiences(timeline).stream().allMatch(a -> a == Audience.GENERAL || a == Audience.BEGINNER);
    }

    private String cheer() {
        return style.cheer(cheers++);
    }

    /** The wishes for segment {@code i}, to be asked in order; the most important first. */
    List<CueCandidate> of(int i) {
        Segment s = segments.get(i);
        List<CueCandidate> wishes = new ArrayList<>();
        if (s.kind() == SegmentKind.REST) {
            announcements.rest(i, wishes);
        }
        if (!s.kind().isMoving()) {
            return wishes;
        }
        Segment before = i > 0 ? segments.get(i - 1) : null;
        boolean gap = before != null && !before.kind().isMoving() && before.kind() != SegmentKind.SWITCH;
        boolean samePart = before != null
                && (before.kind() == SegmentKind.SWITCH || before.interval().equals(s.interval()));
        boolean secondPart = samePart || Announcements.isOtherSide(s, announcements.movedBefore(i));
        int time = secondPart ? met.getOrDefault(s.move(), 0) : met.merge(s.move(), 1, Integer::sum);
        moved = announcements.movedBefore(i);
        if (!samePart) {
            announcements.of(i, wishes);
        }
        cautions(s, gap ? before : null, wishes);
        if (s.isWindow()) {
            turns.of(s, wishes);
        } else {
            about(s, before, gap, secondPart, Math.max(1, time), wishes);
        }
        return wishes;
    }

    /**
     * What the audience is to be told of a move, once in a workout, unless the creator wrote a caution there. For everybody it is one
     * thing to avoid among others; whoever is named for a reason hears it before all else.
     */
    private void cautions(Segment s, Segment pause, List<CueCandidate> wishes) {
        boolean own = Stream.concat(
                        s.block().cues().stream(), s.line() == null ? Stream.empty() : s.line().cues().stream())
                .anyMatch(c -> c.kind() == CueKind.CAUTION);
        for (Cautions.Rule rule : own ? List.<Cautions.Rule>of() : cautions.getOrDefault(s.id(), List.of())) {
            boolean all = rule.audience() == Audience.GENERAL || rule.audience() == Audience.BEGINNER;
            CueKind kind = all ? CueKind.AVOID : CueKind.CAUTION;
            boolean room = !all || s.duration().compareTo(SHORT_WORK) >= 0;
            if (room && cautioned.add(rule.text())) {
                List<Window> places = Window.of(kind, s, pause == null ? null : new Window(pause, 0, 1), false);
                wishes.add(new CueCandidate(s, kind, List.of(rule.text()), places, false, !all));
            }
        }
    }

    /** A stretch of movement, the pause before it (or null), whether it has little time of its own, and what is wished for it. */
    private record Stretch(Segment segment, Window pause, boolean shortWork, List<CueCandidate> wishes) {
        List<Window> places(CueKind kind) {
            return Window.of(kind, segment, pause, shortWork);
        }
    }

    private void about(
            Segment s, Segment before, boolean gap, boolean secondPart, int time, List<CueCandidate> wishes) {
        Window pause = gap ? new Window(before, 0, 1) : null;
        // What is demonstrated is explained there: as before a short set, whose own time is too short.
        boolean shortWork = s.duration().compareTo(SHORT_WORK) < 0 || gap && before.kind() == SegmentKind.DEMO;
        ownLines(s, pause, shortWork, time, wishes);
        boolean explained = time > 1
                && s.line() != null
                && s.line().attributes().over(s.block().attributes()).saidOnce();
        if (secondPart || explained || s.kind() == SegmentKind.WARMUP && time > 1) {
            return;
        }
        if (time == 1) {
            firstTime(new Stretch(s, pause, shortWork, wishes));
        } else {
            again(new Stretch(s, pause, false, wishes), time);
        }
    }

    /** The creator's own lines are all said, once, each where its kind belongs. */
    private void ownLines(Segment s, Window pause, boolean shortWork, int time, List<CueCandidate> wishes) {
        if (s.line() == null) {
            return;
        }
        for (Cue cue : s.line().cues()) {
            if (!ownSaid.add(cue.line())) {
                continue;
            }
            if (time > 1 && !isSpread(s, cue, time)) {
                ownSaid.remove(cue.line());
                continue;
            }
            if (time == 1 && laterForm(s, cue)) {
                ownSaid.remove(cue.line());
                continue;
            }
            String text = fields.filled(cue.kind().isOption() ? Phrases.option(cue) : cue.text());
            if (cue.kind() == CueKind.CAUTION && !cautioned.add(text)) {
                continue; // Once, where it first matters.
            }
            wishes.add(new CueCandidate(
                    s, cue.kind(), List.of(text), Window.of(cue.kind(), s, pause, shortWork), true, true));
        }
    }

    /** A second own form line waits for the next round where there is one. */
    private boolean laterForm(Segment s, Cue cue) {
        List<Cue> forms = wordings.own(s, CueKind.FORM);
        boolean comesAgain = segments.stream()
                        .filter(o -> o.kind().isMoving() && s.move().equals(o.move()) && o.line() != null)
                        .map(o -> o.round() + " " + o.set() + o.block().slug())
                        .distinct()
                        .count()
                > 1;
        return cue.kind() == CueKind.FORM && forms.indexOf(cue) > 0 && comesAgain;
    }

    private boolean isSpread(Segment s, Cue cue, int time) {
        List<Cue> forms = wordings.own(s, CueKind.FORM);
        return cue.kind() != CueKind.FORM || forms.indexOf(cue) == Math.min(time - 1, forms.size() - 1);
    }

    private void firstTime(Stretch of) {
        Segment s = of.segment();
        known(of, CueKind.SETUP, "", true);
        if (!isShown(s, Level.Grade.EASIER)) {
            known(of, CueKind.EASIER, "Easier: ", s.kind() == SegmentKind.WORK);
        }
        known(of, CueKind.FORM, "", true);
        if (s.line() != null) {
            levels(of);
            RuleCandidates.rule(s, of.pause(), of.wishes());
            RuleCandidates.build(s, of.pause(), of.wishes());
        }
        known(of, CueKind.BREATH, "", false);
        if (s.kind() == SegmentKind.WORK && !of.shortWork()) {
            if (loadAdvised && !isShown(s, Level.Grade.HARDER)) {
                known(of, CueKind.HARDER, "Harder: ", false);
            }
            known(of, CueKind.AVOID, "", false);
        }
    }

    /** Whether someone in the picture does it the easier or the harder way: then that is the option. */
    private boolean isShown(Segment s, Level.Grade grade) {
        return s.line() != null
                && timeline.sheet().header().levels().stream()
                        .filter(l -> l.grade() == grade)
                        .anyMatch(l -> s.line().levels().stream()
                                .anyMatch(o -> o.level().equalsIgnoreCase(l.name())));
    }

    /** A library wording where the creator wrote none of that kind; the shorter ones stand by. */
    private void known(Stretch of, CueKind kind, String prefix, boolean needed) {
        Segment s = of.segment();
        if (!wordings.own(s, kind).isEmpty()) {
            return;
        }
        List<String> texts = wordings.known(s, kind).stream()
                .map(t -> kind == CueKind.SETUP ? withoutPosition(s, t) : t)
                .filter(t -> !t.isEmpty())
                .map(t -> prefix + t)
                .toList();
        if (!texts.isEmpty()) {
            List<String> byLength = new ArrayList<>(texts.subList(0, 1));
            texts.stream()
                    .skip(1)
                    .filter(t -> t.length() < texts.get(0).length())
                    .forEach(byLength::add);
            of.wishes()
                    .add(new CueCandidate(s, kind, byLength, of.places(kind), false, needed && kind == CueKind.EASIER));
        }
    }

    /** Whoever sits already is not told to sit. */
    private String withoutPosition(Segment s, String setUp) {
        boolean settled = moved != null && moved.position().equals(s.position());
        String getting = Position.of(s.position()).map(Position::setUp).orElse("");
        return settled && !getting.isEmpty() && setUp.startsWith(getting)
                ? setUp.substring(getting.length()).strip()
                : setUp;
    }

    private static void levels(Stretch of) {
        Segment s = of.segment();
        for (LevelLine level : s.line().levels()) {
            String text = Phrases.level(level, s.line(), s.block());
            of.wishes().add(CueCandidate.of(s, CueKind.INSTEAD, text, of.places(CueKind.INSTEAD)));
        }
    }

    /** Later rounds: one reminder, one new thing, advice on the load, relief. */
    private void again(Stretch of, int time) {
        Segment s = of.segment();
        Window pause = of.pause();
        List<CueCandidate> wishes = of.wishes();
        List<String> forms = wordings.known(s, CueKind.FORM);
        boolean ownForms = !wordings.own(s, CueKind.FORM).isEmpty();
        if (!ownForms && time - 1 < forms.size()) {
            wishes.add(CueCandidate.of(
                    s, CueKind.FORM, forms.get(time - 1), Window.both(new Window(s, 0.05, 0.6), pause)));
        } else {
            rotating(s, REFRESHERS, time, new Window(s, 0.05, 0.6), pause, wishes);
        }
        boolean felt = !wordings.of(s, CueKind.FEEL).isEmpty();
        rotating(s, felt ? NEWS_OF_FELT : NEWS, time, new Window(s, 0.3, 0.9), pause, wishes);
        if (pause != null && s.kind() == SegmentKind.WORK && mayTakeMore(s, time)) {
            wishes.add(CueCandidate.of(s, CueKind.HARDER, MORE, List.of(pause)));
        } else if (s.kind() == SegmentKind.WORK && time > 2) {
            wishes.add(CueCandidate.of(s, CueKind.CHEER, cheer(), Window.both(new Window(s, 0.4, 0.9), null)));
        }
        known(of, CueKind.PERMIT, "", false);
    }

    /** More weight is advised once both sides have had their turn, where no load is written down and nobody has to spare themselves. */
    private boolean mayTakeMore(Segment s, int time) {
        boolean inTurns = s.way() == SideWay.ROUNDS || s.way() == SideWay.SETS;
        boolean written = s.line() != null
                && s.line().attributes().over(s.block().attributes()).load().isPresent();
        return loadAdvised
                && !written
                && time == (inTurns ? 3 : 2)
                && GearList.of(s, library, timeline.sheet().header()).stream()
                        .anyMatch(g -> g.isWeight() && !g.weight().matches(".*\\d.*"));
    }

    private void rotating(
            Segment s, List<CueKind> kinds, int time, Window window, Window pause, List<CueCandidate> wishes) {
        for (int k = 0; k < kinds.size(); k++) {
            CueKind kind = kinds.get((time - 2 + k) % kinds.size());
            List<String> known = wordings.known(s, kind);
            int round = (time - 2) / kinds.size();
            if (wordings.own(s, kind).isEmpty() && round < known.size()) {
                wishes.add(CueCandidate.of(s, kind, known.get(round), Window.both(window, pause)));
                return;
            }
        }
    }
}
