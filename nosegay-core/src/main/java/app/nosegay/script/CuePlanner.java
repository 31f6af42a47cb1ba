package app.nosegay.script;

import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.Cautions;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.script.ScriptNotes.Decided;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Makes the cue plan: what the creator fixed stays where it is, calls stand at their second, the other lines go in order of priority to the
 * earliest free place of their window (docs/domain.md, "Cue plan"). What finds no place is listed with the shortest change that would
 * make it fit.
 */
public final class CuePlanner {
    /** What every workout says before the first movement. */
    public static final String SCREENING = Cautions.SCREENING;

    /** Kinds whose wordings often hold of many moves: nobody wants to hear them at each. */
    private static final Set<CueKind> ONCE = EnumSet.of(
            CueKind.BREATH, CueKind.PERMIT, CueKind.WHY, CueKind.MUSCLE, CueKind.CHECK, CueKind.HARDER, CueKind.CHEER);

    /** Of the words of coaching. */
    private static final double SYLLABLES_A_WORD = 1.4;

    private static final Length CHEER_AGAIN = Length.ofSeconds(120);

    /** Priority when lines compete (docs/domain.md); calls come before all. */
    private static final List<CueKind> PRIORITY = List.of(
            CueKind.CAUTION,
            CueKind.NEXT,
            CueKind.NAME,
            CueKind.GEAR,
            CueKind.EASIER,
            CueKind.INSTEAD,
            CueKind.SETUP,
            CueKind.FORM,
            CueKind.HARDER,
            CueKind.BREATH);

    /** The order in which a person says things, where all of them fit. */
    private static final List<CueKind> NATURAL = List.of(
            CueKind.NEXT,
            CueKind.NAME,
            CueKind.GEAR,
            CueKind.SETUP,
            CueKind.CAUTION,
            CueKind.COUNT,
            CueKind.FORM,
            CueKind.EASIER,
            CueKind.INSTEAD,
            CueKind.PERMIT,
            CueKind.BREATH,
            CueKind.AVOID,
            CueKind.HARDER);

    private final Timeline timeline;
    private final SpeechRate rate;
    private final ScriptNotes notes;
    private final List<Segment> segments;
    private final Map<String, Integer> indexes;
    private final PlacedLines placed;
    private final Map<String, Time<Axis.Plan>> saidAt = new HashMap<>();
    private final List<CuePlan.Left> left = new ArrayList<>();

    private CuePlanner(Timeline timeline, ScriptNotes notes) {
        this.timeline = timeline;
        this.notes = notes;
        this.rate = notes.rate();
        this.segments = timeline.segments();
        this.indexes = timeline.indexes();
        this.placed = new PlacedLines(timeline);
    }

    public static CuePlan plan(Timeline timeline, MoveLibrary library, SpeechRate rate) {
        return plan(timeline, library, ScriptNotes.NONE.withRate(rate));
    }

    /** The cue plan of a timeline with what the creator decided by hand. */
    public static CuePlan plan(Timeline timeline, MoveLibrary library, ScriptNotes decided) {
        // Whoever speaks afterwards is not out of breath.
        boolean unhurried = timeline.sheet().header().voiceAfterwards();
        double atRest = decided.rate().atRest();
        ScriptNotes notes = unhurried ? decided.withRate(new SpeechRate(atRest, atRest)) : decided;
        CuePlanner planner = new CuePlanner(timeline, notes);
        Fields fields = Fields.of(timeline, library);
        planner.fixed(fields);
        for (ScriptLine call : CallScript.of(timeline, library, notes)) {
            planner.call(call);
        }
        CueCandidates wishes = new CueCandidates(timeline, library, fields, notes.style());
        for (int i = 0; i < planner.segments.size(); i++) {
            Segment s = planner.segments.get(i);
            if (s.kind() == SegmentKind.TALK) {
                Talk.wishes(timeline, s, fields).forEach(planner::place);
            } else {
                planner.placeBest(wishes.of(i));
            }
        }
        return planner.result();
    }

    private static int rank(CueCandidate candidate, List<CueKind> order) {
        int at = order.indexOf(candidate.kind());
        return (at < 0 ? order.size() : at) * 2 + (candidate.own() ? 0 : 1);
    }

    /** Places the wishes in the order a person would say them; where that leaves out what matters more, in order of priority. */
    private void placeBest(List<CueCandidate> wishes) {
        List<CueCandidate> natural = new ArrayList<>(wishes);
        natural.sort(Comparator.comparingInt(w -> rank(w, NATURAL)));
        List<ScriptLine> added = new ArrayList<>();
        double missed = tryAll(natural, added);
        if (missed == 0) {
            return;
        }
        List<CuePlan.Left> leftNaturally = new ArrayList<>(left.subList(left.size() - count(missed), left.size()));
        takeBack(added, leftNaturally.size());
        List<CueCandidate> byPriority = new ArrayList<>(wishes);
        byPriority.sort(Comparator.comparingInt(w -> rank(w, PRIORITY)));
        List<ScriptLine> addedByPriority = new ArrayList<>();
        double missedByPriority = tryAll(byPriority, addedByPriority);
        if (weight(missed) < weight(missedByPriority)) {
            takeBack(addedByPriority, count(missedByPriority));
            added.forEach(l -> {
                placed.add(l);
                saidAt.put(l.of(), l.start());
            });
            left.addAll(leftNaturally);
        }
    }

    /** Places all that fit; gives how many did not (whole part) and how much they matter (thousandths). */
    private double tryAll(List<CueCandidate> wishes, List<ScriptLine> added) {
        double missed = 0;
        for (CueCandidate candidate : wishes) {
            int before = left.size();
            ScriptLine line = place(candidate);
            if (line != null) {
                added.add(line);
            } else if (left.size() > before) {
                missed += 1
                        + (candidate.own() ? 0.02 : 0)
                        + 0.0005 * (2 * PRIORITY.size() + 2 - rank(candidate, PRIORITY));
            }
        }
        return missed;
    }

    private static int count(double missed) {
        return (int) missed;
    }

    private static double weight(double missed) {
        return missed - count(missed);
    }

    private void takeBack(List<ScriptLine> added, int leftOut) {
        added.forEach(l -> {
            placed.remove(l);
            saidAt.remove(l.of());
        });
        left.subList(left.size() - leftOut, left.size()).clear();
    }

    /** The lines with a place of their own. */
    private void fixed(Fields fields) {
        for (Decided d : notes.lines()) {
            Integer i = indexes.get(d.segment());
            if (i != null && d.at() != null && !d.isLeftOut()) {
                Segment s = segments.get(i);
                String text = fields.filled(d.text());
                placed.in(i)
                        .add(new ScriptLine(
                                s.id(), d.kind(), text, s.start().plus(d.at()), said(s, text), true, d.of()));
            }
        }
    }

    private Length said(Segment s, String text) {
        return rate.toSay(text, s.kind().isMoving());
    }

    private void call(ScriptLine call) {
        // A call is said in whatever segment runs at its second; a count-in lies in the segment before.
        int i = indexes.get(call.segment());
        while (i > 0 && call.start().isBefore(segments.get(i).start())) {
            i--;
        }
        Segment s = segments.get(i);
        Decided decided = decision(s.id(), call.text());
        if (decided != null && (decided.isLeftOut() || decided.at() != null)) {
            return;
        }
        String text = decided == null ? call.text() : decided.text();
        Length spoken = decided == null ? call.spoken() : said(s, text);
        boolean overFixed = placed.in(i).stream()
                .anyMatch(f -> f.fixed()
                        && (f.kind() == CueKind.TIME || f.kind() == CueKind.COUNT)
                        && f.start().isBefore(call.start().plus(spoken))
                        && call.start().isBefore(f.end()));
        if (!overFixed) {
            placed.in(i).add(new ScriptLine(s.id(), call.kind(), text, call.start(), spoken, false, call.text()));
        }
    }

    private Decided decision(String segment, String of) {
        for (Decided d : notes.lines()) {
            if (d.standsFor(segment, of)) {
                return d;
            }
        }
        return null;
    }

    /** Puts a wish at the first place of its windows that is free; the first wording that fits is taken. */
    private ScriptLine place(CueCandidate candidate) {
        if (isSaidAlready(candidate)) {
            return null;
        }
        for (CueCandidate.Wording wording : candidate.wordings()) {
            CueCandidate.Window window = wording.window();
            String text = wording.text();
            Decided decided = decision(window.segment().id(), text);
            if (decided != null && (decided.isLeftOut() || decided.at() != null)) {
                return null; // left out, or placed already
            }
            String words = decided == null ? candidate.in(window, text) : decided.text();
            CueKind kind = decided == null ? candidate.kind() : decided.kind();
            ScriptLine line = tryAt(window, kind, words, text, candidate.needed());
            if (line != null) {
                return line;
            }
        }
        leave(candidate);
        return null;
    }

    /** What holds of many moves alike is said once; a cheer may come again after a while. */
    private boolean isSaidAlready(CueCandidate candidate) {
        if (candidate.own() || !ONCE.contains(candidate.kind())) {
            return false;
        }
        Time<Axis.Plan> last = saidAt.get(candidate.texts().get(0));
        return last != null
                && (candidate.kind() != CueKind.CHEER
                        || candidate.home().start().since(last).compareTo(CHEER_AGAIN) < 0);
    }

    private ScriptLine tryAt(CueCandidate.Window window, CueKind kind, String words, String of, boolean needed) {
        Segment s = window.segment();
        Length spoken = said(s, words);
        if (!needed && placed.beyondDensity(s, spoken).isPositive()) {
            return null;
        }
        Time<Axis.Plan> at = s.start().plus(s.duration().times(window.from()));
        Time<Axis.Plan> latest = Time.min(
                s.start().plus(s.duration().times(window.to())), s.end().minus(spoken));
        while (!at.isAfter(latest)) {
            ScriptLine line = new ScriptLine(s.id(), kind, words, at, spoken, false, of);
            ScriptLine inTheWay = placed.inTheWay(line, indexes.get(s.id()));
            if (inTheWay == null) {
                placed.add(line);
                saidAt.put(of, line.start());
                return line;
            }
            at = inTheWay.end().plus(PlacedLines.quiet(inTheWay, s));
        }
        return null;
    }

    /** Lists a line that found no place, with the shortest change that would give it one. */
    private void leave(CueCandidate candidate) {
        CueCandidate.Window window = candidate.places().isEmpty()
                ? new CueCandidate.Window(candidate.home(), 0, 1)
                : candidate.places().get(0);
        Segment s = window.segment();
        String text = candidate.texts().get(candidate.texts().size() - 1);
        Length spoken = said(s, text);
        Length gap = placed.largestGap(s, window);
        Length tooLong = spoken.minus(gap);
        boolean density = !tooLong.isPositive();
        Length over = density ? placed.beyondDensity(s, spoken) : tooLong;
        String reason = density
                ? CoreText.of("script.cue-planner.beyond-density", spoken.seconds(), over.seconds())
                : CoreText.of("script.cue-planner.no-gap", spoken.seconds(), Math.max(0, gap.seconds()));
        ScriptLine wanted = new ScriptLine(
                s.id(), candidate.kind(), text, s.start().plus(s.duration().times(window.from())), spoken);
        left.add(new CuePlan.Left(
                wanted, reason, remedy(candidate, s, density, over, gap), over, candidate.own(), candidate.needed()));
    }

    private String remedy(CueCandidate candidate, Segment s, boolean density, Length over, Length gap) {
        if (density) {
            return s.kind().isMoving()
                    ? CoreText.of("script.cue-planner.say-it-in-the-rest")
                    : CoreText.of("script.cue-planner.drop-it");
        }
        int syllables = (int) Math.ceil(over.seconds() * (s.kind().isMoving() ? rate.working() : rate.atRest()));
        int all = SpeechRate.syllables(candidate.texts().get(candidate.texts().size() - 1));
        if (syllables < all * 0.6) {
            return CoreText.of("script.cue-planner.shorten-it", (int) Math.ceil(syllables / SYLLABLES_A_WORD));
        }
        boolean again = candidate.home().round() != null && candidate.home().round() > 1;
        if (again) {
            return CoreText.of(
                    "script.cue-planner.drop-it-in-round", candidate.home().round());
        }
        double longer = Math.ceil(over.seconds() / 5) * 5;
        return s.kind().isMoving()
                ? CoreText.of("script.cue-planner.move-it")
                : CoreText.of("script.cue-planner.make-longer", s.kind().word(), longer);
    }

    private CuePlan result() {
        List<TalkWindow> windows = placed.windows(left);
        return new CuePlan(placed.all(), left, windows);
    }
}
