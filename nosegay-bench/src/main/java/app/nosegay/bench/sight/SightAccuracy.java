package app.nosegay.bench.sight;

import app.nosegay.bench.sight.SolidTake.Done;
import app.nosegay.bench.sight.SolidTake.Kind;
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

/** What is read off bodies in solid takes, beside what the small pictures alone give: repetitions, sides, postures. */
public final class SightAccuracy {
    private static final int SETS = 4;

    private int sets;
    private int found;
    private final int[] exact = new int[3];
    private final int[] near = new int[3];
    private int sided;
    private int sideRight;
    private int postureRight;

    private SightAccuracy() {}

    /** A line per set that is wrong where {@code every}, and the rows over all. */
    public static void table(int takes, boolean every, Consumer<String> lines) {
        SightAccuracy all = new SightAccuracy();
        for (int seed = 0; seed < takes; seed++) {
            List<Kind> kinds = new ArrayList<>(List.of(Kind.values()));
            Collections.rotate(kinds, -seed * SETS);
            SolidTake take = new SolidTake(seed, kinds.subList(0, SETS));
            TakeEvidence seen = take.seen();
            for (Done d : take.sets()) {
                String wrong = all.add(seen, d);
                if (every && !wrong.isEmpty()) {
                    lines.accept("solid take " + take.seed() + ", " + d.kind().move + ":" + wrong);
                }
            }
        }
        lines.accept(String.format(
                Locale.ROOT,
                "solid figure: %d sets, somebody found in %.1f %% of them",
                all.sets,
                100.0 * all.found / all.sets));
        String[] levels = {"pictures", "joints", "both"};
        for (int l = 0; l < levels.length; l++) {
            lines.accept(String.format(
                    Locale.ROOT,
                    "reps by %-8s exact %.1f %%, within one %.1f %%",
                    levels[l],
                    100.0 * all.exact[l] / all.sets,
                    100.0 * all.near[l] / all.sets));
        }
        lines.accept(String.format(
                Locale.ROOT, "working side right %.1f %% of %d", 100.0 * all.sideRight / all.sided, all.sided));
        lines.accept(String.format(Locale.ROOT, "posture right %.1f %%", 100.0 * all.postureRight / all.sets));
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
            sideRight += right ? 1 : 0;
            wrong.append(right ? "" : String.format(Locale.ROOT, " wrong side %.2f", side));
        }
        Posture posture = Posture.of(leader.get(), d.start(), d.end());
        boolean right = posture == expected(d.kind()) || d.kind() == Kind.HINGE && posture == Posture.STANDING;
        postureRight += right ? 1 : 0;
        wrong.append(right ? "" : " posture " + posture);
        return wrong.toString();
    }

    private static Posture expected(Kind kind) {
        return switch (kind) {
            case PUSH_UP -> Posture.FACE_DOWN;
            case SIT_UP -> Posture.FACE_UP;
            case SINGLE_ARM_ROW, HINGE -> Posture.BENT_OVER;
            default -> Posture.STANDING;
        };
    }
}
