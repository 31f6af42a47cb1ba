package app.nosegay.bench.sight;

import app.nosegay.bench.sight.SolidTake.Done;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.review.seen.SightCheck;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.IntStream;

/**
 * Whether moves that change places in one of two rounds, and moves nobody planned, are told by what they look like. Solid takes show two
 * rounds of four moves; the plan is then said to have been another.
 */
final class LookAccuracy {
    private static final int MOVES = 4;
    private static final int ROUNDS = 2;

    /** Four moves of the library stand for whatever the figure does: what looks are held against is the take itself. */
    private static final List<String> NAMES = List.of("squat", "push-up", "lunge", "sit-up");

    private int sets;
    private int madeUp;
    private int exchanged;
    private int exchangedFound;
    private int unplanned;
    private int unplannedFound;

    private LookAccuracy() {}

    static void table(int first, int takes, Consumer<String> lines) {
        LookAccuracy all = new LookAccuracy();
        List<SolidTake> made = IntStream.range(first, first + takes)
                .mapToObj(LookAccuracy::take)
                .toList();
        List<TakeEvidence> seen = made.stream().parallel().map(SolidTake::seen).toList();
        for (int i = 0; i < takes; i++) {
            all.add(seen.get(i), made.get(i).sets());
        }
        lines.accept(String.format(
                Locale.ROOT,
                "looks: exchanged moves told in %d of %d sets, unplanned ones in %d of %d   bar 90 %%; made up in %d of %d sets",
                all.exchangedFound,
                all.exchanged,
                all.unplannedFound,
                all.unplanned,
                all.madeUp,
                all.sets));
    }

    private static SolidTake take(int seed) {
        List<SolidMove> kinds = new ArrayList<>(List.of(SolidMove.values()));
        Collections.rotate(kinds, -seed * MOVES);
        List<SolidMove> rounds = new ArrayList<>();
        for (int round = 0; round < ROUNDS; round++) {
            rounds.addAll(kinds.subList(0, MOVES));
        }
        return new SolidTake(seed, rounds);
    }

    private void add(TakeEvidence seen, List<Done> done) {
        sets += done.size();
        madeUp += told(seen, done, MOVES);
        for (int i = 0; i < MOVES; i++) {
            for (int j = 0; j < MOVES; j++) {
                if (i < j) {
                    List<Done> planned = new ArrayList<>(done);
                    Collections.swap(planned, MOVES + i, MOVES + j);
                    exchanged += 2;
                    exchangedFound += Math.min(2, told(seen, planned, MOVES));
                }
                if (i != j) {
                    // Move i is not in the plan and was done in the place of move j in round two.
                    List<Done> planned = new ArrayList<>(done);
                    planned.set(MOVES + j, done.get(MOVES + i));
                    planned.remove(MOVES + i);
                    planned.remove(i);
                    unplanned++;
                    unplannedFound += Math.min(1, told(seen, planned, MOVES - 1));
                }
            }
        }
    }

    /** How many sets look otherwise when these are what was done for a plan of so many moves in two rounds. */
    private static int told(TakeEvidence seen, List<Done> done, int moves) {
        MoveLibrary library = MoveLibrary.shipped();
        String sheet = "calls: none\ncircuit A  rounds 2  work 0:20  rest 0:10\n  "
                + String.join("\n  ", NAMES.subList(0, moves)) + "\n";
        Timeline timeline = Expansion.expand(RunSheetParser.parse(sheet, library), library);
        List<Segment> work = timeline.segments().stream()
                .filter(s -> s.kind() == SegmentKind.WORK)
                .toList();
        List<Match.Placed> placed = new ArrayList<>();
        for (int k = 0; k < work.size(); k++) {
            Segment s = work.get(k);
            Time<Axis.Take> start = Time.ofSeconds(done.get(k).start());
            Time<Axis.Take> end = Time.ofSeconds(done.get(k).end());
            placed.add(new Match.Placed(s.id(), s.duration(), "t", start, end, start, end, 0, 0, false, false));
        }
        Match.Take take = new Match.Take("t", "t.mp4", timeline.total(), Length.ZERO, 0, List.of());
        Match match = new Match(List.of(take), placed, List.of(), Map.of());
        return (int) SightCheck.findings(timeline, match, List.of(seen), library).stream()
                .filter(f -> f.code().equals("match.looks-otherwise"))
                .count();
    }
}
