package app.nosegay.bench.sight;

import app.nosegay.bench.sight.SolidTake.Done;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.JointRows;
import app.nosegay.evidence.sight.Posture;
import app.nosegay.evidence.sight.Repetitions;
import app.nosegay.evidence.sight.WorkingSide;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.IntStream;

/** What is read off bodies in solid takes, beside what the small pictures alone give: repetitions, sides, postures. */
public final class SightAccuracy {
    private static final int SETS = 4;
    /** Takes of two rounds, which last twice as long. */
    private static final int LOOKED_AT = 6;

    private int sets;
    private int found;
    private final int[] exact = new int[3];
    private final int[] near = new int[3];
    private int sided;
    private int sideRight;
    private int sideTold;
    private int postureRight;

    private SightAccuracy() {}

    /** The share of sets counted exactly by what is best there: joints, or the pictures where those say nothing. */
    double exactShare() {
        return exact[2] / (double) sets;
    }

    /** What is read off takes {@code first} and those behind it; {@code wrong} hears of every set that is not right. */
    static SightAccuracy of(int first, int takes, Consumer<String> wrong) {
        SightAccuracy all = new SightAccuracy();
        List<SolidTake> made = IntStream.range(first, first + takes)
                .mapToObj(SightAccuracy::take)
                .toList();
        List<TakeEvidence> seen = made.stream().parallel().map(SolidTake::seen).toList();
        for (int i = 0; i < takes; i++) {
            for (Done d : made.get(i).sets()) {
                String what = all.add(seen.get(i), d);
                if (!what.isEmpty()) {
                    wrong.accept("solid take " + made.get(i).seed() + ", " + d.kind().move + ":" + what);
                }
            }
        }
        return all;
    }

    /** Each take does other moves than the one before. */
    private static SolidTake take(int seed) {
        List<SolidMove> kinds = new ArrayList<>(List.of(SolidMove.values()));
        Collections.rotate(kinds, -seed * SETS);
        return new SolidTake(seed, kinds.subList(0, SETS));
    }

    /** A line per set that is wrong, and the rows over all. */
    public static void table(int first, int takes, Consumer<String> lines) {
        SightAccuracy all = of(first, takes, lines);
        lines.accept(String.format(
                Locale.ROOT,
                "solid figure: %d sets, somebody found in %.1f %% of them",
                all.sets,
                100.0 * all.found / all.sets));
        String[] levels = {"pictures", "joints", "both"};
        for (int l = 0; l < levels.length; l++) {
            lines.accept(String.format(
                    Locale.ROOT,
                    "reps by %-8s exact %.1f %%, within one %.1f %%   bars 85, 97",
                    levels[l],
                    100.0 * all.exact[l] / all.sets,
                    100.0 * all.near[l] / all.sets));
        }
        lines.accept(String.format(
                Locale.ROOT,
                "working side right in %d of %d sets it was told in, of %d of one side   bar 98 %%",
                all.sideRight,
                all.sideTold,
                all.sided));
        lines.accept(String.format(Locale.ROOT, "posture right %.1f %%", 100.0 * all.postureRight / all.sets));
        FrameAccuracy.table(first, takes, lines);
        LookAccuracy.table(first, Math.min(takes, LOOKED_AT), lines);
    }

    private String add(TakeEvidence seen, Done d) {
        StringBuilder wrong = new StringBuilder();
        Optional<JointRows> leader = JointRows.ofLeader(seen).filter(j -> j.seen(d.start(), d.end()) >= 0.9);
        boolean alternate = d.kind().isAlternate();
        int byPictures = Repetitions.of(seen.pose(), d.start(), d.end(), d.start())
                .reps(d.planned(), alternate)
                .size();
        int byJoints = leader.map(j -> Repetitions.of(j, d.start(), d.end(), d.start())
                        .reps(d.planned(), alternate)
                        .size())
                .orElse(0);
        sets++;
        found += leader.isPresent() ? 1 : 0;
        int[] counted = {byPictures, byJoints, byJoints > 0 ? byJoints : byPictures};
        for (int l = 0; l < counted.length; l++) {
            int off = Math.abs(counted[l] - d.ends().size());
            exact[l] += off == 0 ? 1 : 0;
            near[l] += off <= 1 ? 1 : 0;
        }
        if (byJoints != d.ends().size()) {
            wrong.append(" ").append(d.ends().size()).append(" reps, ").append(byJoints);
            wrong.append(" by joints, ").append(byPictures).append(" by pictures");
        }
        if (leader.isEmpty()) {
            return wrong + ", nobody found";
        }
        if (d.kind().sided) {
            boolean arm = d.kind().move.contains("arm");
            double side = (arm ? WorkingSide.ARMS : WorkingSide.LEGS).of(leader.get(), d.start(), d.end());
            sided++;
            boolean right = side > 0 == (d.side() == 1);
            sideTold += side == 0 ? 0 : 1;
            sideRight += side != 0 && right ? 1 : 0;
            wrong.append(side == 0 || right ? "" : String.format(Locale.ROOT, " wrong side %.2f", side));
        }
        Posture posture = Posture.of(leader.get(), d.start(), d.end());
        boolean right = posture == expected(d.kind()) || d.kind() == SolidMove.HINGE && posture == Posture.STANDING;
        postureRight += right ? 1 : 0;
        wrong.append(right ? "" : " posture " + posture);
        return wrong.toString();
    }

    private static Posture expected(SolidMove kind) {
        return switch (kind) {
            case PUSH_UP -> Posture.FACE_DOWN;
            case SIT_UP -> Posture.FACE_UP;
            case SINGLE_ARM_ROW, HINGE -> Posture.BENT_OVER;
            default -> Posture.STANDING;
        };
    }
}
