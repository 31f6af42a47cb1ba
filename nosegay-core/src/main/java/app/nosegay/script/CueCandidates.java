package app.nosegay.script;

import static app.nosegay.script.Wordings.capital;
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
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.sheet.RunSheet.Cue;
import app.nosegay.plan.sheet.RunSheet.LevelLine;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.terms.Amount;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.Level;
import app.nosegay.plan.terms.RepPattern;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.script.CueCandidate.Window;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
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

    /** About how long one goes at a move of a list that is gone through as often as possible. */
    private static final double TURN_SECONDS = 45;
    /** In its turn a move's cues are spread, the first behind the start. */
    private static final double FIRST_IN_TURN = 0.08;

    private static final double TURN_STEP = 0.2;
    /** What is said of each move at its first turn, its second, and all others. */
    private static final List<List<CueKind>> TURNS = List.of(
            List.of(CueKind.SETUP, CueKind.FORM, CueKind.EASIER, CueKind.BREATH),
            List.of(CueKind.AVOID, CueKind.FEEL),
            List.of(CueKind.CHEER));

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
        this.cautions = Cautions.raised(timeline, library).stream()
                .filter(r -> r.rule().level() == Cautions.Level.CAUTION)
                .collect(groupingBy(r -> r.segment().id(), mapping(Cautions.Raised::rule, toList())));
        this.loadAdvised =
                Cautions.audiences(timeline).stream().allMatch(a -> a == Audience.GENERAL || a == Audience.BEGINNER);
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
            window(s, wishes);
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
                List<Window> places = window(kind, s, pause == null ? null : new Window(pause, 0, 1), false);
                wishes.add(new CueCandidate(s, kind, List.of(rule.text()), places, false, !all));
            }
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
            firstTime(s, pause, shortWork, wishes);
        } else {
            again(s, pause, time, wishes);
        }
    }

    /**
     * In one window for a whole list each move has its turn, again and again: first how it begins, its form, its easier way; then what to
     * avoid and to feel; then a word of encouragement.
     */
    private void window(Segment s, List<CueCandidate> wishes) {
        List<MoveLine> lines = s.block().moves();
        double turn = Math.min(1.0 / lines.size(), TURN_SECONDS / s.duration().seconds());
        int turns = (int) Math.floor(1 / turn);
        for (int t = 0; t < turns; t++) {
            List<CueKind> kinds = TURNS.get(Math.min(t / lines.size(), TURNS.size() - 1));
            MoveLine line = lines.get(t % lines.size());
            for (int k = 0; k < kinds.size(); k++) {
                Window place = new Window(s, (t + FIRST_IN_TURN + k * TURN_STEP) * turn, (t + 0.95) * turn);
                String text = kinds.get(k) == CueKind.CHEER ? style.cheer(cheers++) : ofLine(line, kinds.get(k));
                if (!text.isEmpty()) {
                    boolean own = line.cues().stream().anyMatch(c -> c.text().equals(text));
                    wishes.add(new CueCandidate(
                            s, kinds.get(k), List.of(text), List.of(place), own, kinds.get(k) == CueKind.SETUP));
                }
            }
        }
    }

    /** What is said of a kind for a line of a window: its own words, else the library's; empty for nothing. */
    private String ofLine(MoveLine line, CueKind kind) {
        Cue own = line.cues().stream().filter(c -> c.kind() == kind).findFirst().orElse(null);
        List<String> known = library.find(line.name()).map(m -> m.cues(kind)).orElse(List.of());
        if (own != null) {
            return fields.filled(kind.isOption() ? option(own) : own.text());
        }
        if (known.isEmpty()) {
            return "";
        }
        String text = known.get(0);
        return kind == CueKind.SETUP
                ? capital(Phrases.name(line.name())) + ": " + lower(text)
                : kind == CueKind.EASIER ? "Easier: " + text : text;
    }

    private static String lower(String text) {
        return Character.toLowerCase(text.charAt(0)) + text.substring(1);
    }

    private List<Window> places(Window first, Window second) {
        List<Window> places = new ArrayList<>();
        if (first != null) {
            places.add(first);
        }
        if (second != null) {
            places.add(second);
        }
        return places;
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
            String text = fields.filled(cue.kind().isOption() ? option(cue) : cue.text());
            if (cue.kind() == CueKind.CAUTION && !cautioned.add(text)) {
                continue; // Once, where it first matters.
            }
            wishes.add(new CueCandidate(
                    s, cue.kind(), List.of(text), window(cue.kind(), s, pause, shortWork), true, true));
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

    private static String option(Cue cue) {
        String for_ = condition(cue.condition());
        String text = for_.isEmpty()
                ? cue.text()
                : Character.toLowerCase(cue.text().charAt(0)) + cue.text().substring(1);
        return switch (cue.kind()) {
            case EASIER -> for_.isEmpty() ? "Easier: " + text : for_ + text;
            case HARDER -> for_.isEmpty() ? "Harder: " + text : for_ + text;
            default -> for_.isEmpty() ? "Instead: " + text : for_ + text;
        };
    }

    /** The condition of an option as it is said; empty for anyone. */
    private static String condition(String condition) {
        if (condition.isEmpty()) {
            return "";
        }
        boolean joint = condition.matches(
                "(?i)(?:sore )?(?:knees?|shoulders?|wrists?|back|lower back|hips?|neck|elbows?|ankles?)(?: trouble)?");
        if (joint) {
            return "If your " + condition.toLowerCase(Locale.ROOT).replaceAll("^sore | trouble$", "") + " complains, ";
        }
        return Audience.of(condition).map(Phrases::forWhom).orElse("For " + condition + ", ");
    }

    /** Where a kind belongs inside and before its interval. */
    private List<Window> window(CueKind kind, Segment s, Window pause, boolean shortWork) {
        return switch (kind) {
            case SETUP, NAME, GEAR, NEXT -> places(pause, new Window(s, 0, 0.25));
            case FORM -> places(shortWork ? pause : new Window(s, 0, 0.25), shortWork ? new Window(s, 0, 0.4) : pause);
            // Behind the easier way, which is said as the work begins.
            case HARDER -> places(shortWork ? pause : new Window(s, 0, 0.6), null);
            case EASIER, INSTEAD, CAUTION ->
                places(shortWork ? pause : new Window(s, 0, 0.33), shortWork ? new Window(s, 0, 0.33) : pause);
            case AVOID, CHECK, FEEL, TEMPO -> places(new Window(s, 0.1, 0.75), pause);
            default -> places(new Window(s, 0.2, 0.9), pause);
        };
    }

    private void firstTime(Segment s, Window pause, boolean shortWork, List<CueCandidate> wishes) {
        known(s, CueKind.SETUP, pause, shortWork, "", true, wishes);
        if (!isShown(s, Level.Grade.EASIER)) {
            known(s, CueKind.EASIER, pause, shortWork, "Easier: ", s.kind() == SegmentKind.WORK, wishes);
        }
        known(s, CueKind.FORM, pause, shortWork, "", true, wishes);
        if (s.line() != null) {
            levels(s, pause, shortWork, wishes);
            rule(s, pause, wishes);
            build(s, pause, wishes);
        }
        known(s, CueKind.BREATH, pause, shortWork, "", false, wishes);
        if (s.kind() == SegmentKind.WORK && !shortWork) {
            if (loadAdvised && !isShown(s, Level.Grade.HARDER)) {
                known(s, CueKind.HARDER, pause, false, "Harder: ", false, wishes);
            }
            known(s, CueKind.AVOID, pause, false, "", false, wishes);
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
    private void known(
            Segment s,
            CueKind kind,
            Window pause,
            boolean shortWork,
            String prefix,
            boolean needed,
            List<CueCandidate> wishes) {
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
            wishes.add(new CueCandidate(
                    s, kind, byLength, window(kind, s, pause, shortWork), false, needed && kind == CueKind.EASIER));
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

    private void levels(Segment s, Window pause, boolean shortWork, List<CueCandidate> wishes) {
        for (LevelLine level : s.line().levels()) {
            String text = Phrases.level(level, s.line(), s.block());
            wishes.add(CueCandidate.of(s, CueKind.INSTEAD, text, window(CueKind.INSTEAD, s, pause, shortWork)));
        }
    }

    /** What one rep is, what the dose is, what the load is: said once where it is not plain. */
    private void rule(Segment s, Window pause, List<CueCandidate> wishes) {
        Attributes merged = s.line().attributes().over(s.block().attributes());
        Window early = new Window(s, 0, 0.5);
        merged.rep()
                .map(RepPattern::sentence)
                .ifPresent(t -> wishes.add(new CueCandidate(
                        s, CueKind.COUNT, List.of(capital(t) + "."), places(pause, early), false, true)));
        if (merged.rep().isEmpty() && s.move().contains("+") && s.line().parts().size() > 1) {
            String one = "One rep is " + Phrases.inTurn(s.line().parts()) + ".";
            wishes.add(new CueCandidate(s, CueKind.SETUP, List.of(one), places(pause, early), false, s.reps() != null));
        }
        s.line()
                .attributes()
                .length(Attribute.ALONE)
                .ifPresent(l -> wishes.add(new CueCandidate(
                        s, CueKind.PERMIT, List.of(Phrases.alone(l)), places(early, pause), false, true)));
        boolean dosed = merged.dose().isPresent() || merged.shown().isPresent();
        if (dosed) {
            String dose = merged.dose()
                    .map(Amount::words)
                    .or(() -> merged.reps().map(r -> r.perSet().get(0) + " reps"))
                    .orElse("the full set");
            wishes.add(new CueCandidate(
                    s,
                    CueKind.PERMIT,
                    List.of("I show part of it; you do " + dose + "."),
                    places(pause, early),
                    false,
                    true));
        }
    }

    /** In a build, whoever likes stays on one half; the change is promised for half-way. */
    private void build(Segment s, Window pause, List<CueCandidate> wishes) {
        if (s.block().kind() == BlockKind.BUILD
                && s.line().parts().size() > 1
                && s.move().contains("+")) {
            String text =
                    "Now put them together, or stay with the one you like. I will say when it is half-way, so you can swap.";
            String shorter = "Put them together, or stay with one and swap at half-way.";
            wishes.add(new CueCandidate(
                    s, CueKind.PERMIT, List.of(text, shorter), places(pause, new Window(s, 0, 0.4)), false, true));
        }
    }

    /** Later rounds: one reminder, one new thing, advice on the load, relief. */
    private void again(Segment s, Window pause, int time, List<CueCandidate> wishes) {
        List<String> forms = wordings.known(s, CueKind.FORM);
        boolean ownForms = !wordings.own(s, CueKind.FORM).isEmpty();
        if (!ownForms && time - 1 < forms.size()) {
            wishes.add(CueCandidate.of(s, CueKind.FORM, forms.get(time - 1), places(new Window(s, 0.05, 0.6), pause)));
        } else {
            rotating(s, REFRESHERS, time, new Window(s, 0.05, 0.6), pause, wishes);
        }
        boolean felt = !wordings.of(s, CueKind.FEEL).isEmpty();
        rotating(s, felt ? NEWS_OF_FELT : NEWS, time, new Window(s, 0.3, 0.9), pause, wishes);
        if (pause != null && s.kind() == SegmentKind.WORK && mayTakeMore(s, time)) {
            wishes.add(CueCandidate.of(s, CueKind.HARDER, MORE, List.of(pause)));
        } else if (s.kind() == SegmentKind.WORK && time > 2) {
            wishes.add(CueCandidate.of(s, CueKind.CHEER, style.cheer(cheers++), places(new Window(s, 0.4, 0.9), null)));
        }
        known(s, CueKind.PERMIT, pause, false, "", false, wishes);
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
                wishes.add(CueCandidate.of(s, kind, known.get(round), places(window, pause)));
                return;
            }
        }
    }
}
