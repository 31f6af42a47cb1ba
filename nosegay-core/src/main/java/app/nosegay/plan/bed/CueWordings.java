package app.nosegay.plan.bed;

import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Balance;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** Wordings to choose from where a move lacks one: its own in the library, then those of the moves most like it, then ones that fit any. */
public final class CueWordings {
    private CueWordings() {}

    /** At most {@code most} wordings of a kind for what is done. */
    public static List<String> of(List<Move> moves, CueKind kind, MoveLibrary library, int most) {
        Set<String> found = new LinkedHashSet<>();
        moves.forEach(m -> found.addAll(m.cues(kind)));
        if (!moves.isEmpty()) {
            library.moves().stream()
                    .filter(m -> m.pattern().equals(moves.get(0).pattern())
                            && m.position().equals(moves.get(0).position()))
                    .sorted(Comparator.comparingDouble((Move m) -> -Balance.overlap(moves, List.of(m))))
                    .limit(most)
                    .forEach(m -> found.addAll(m.cues(kind)));
        }
        if (kind.isOption()) {
            boolean harder = kind == CueKind.HARDER;
            found.add(
                    harder
                            ? CoreText.of("plan.bed.wording.harder-pause")
                            : CoreText.of("plan.bed.wording.easier-range"));
            found.add(
                    harder ? CoreText.of("plan.bed.wording.harder-slow") : CoreText.of("plan.bed.wording.easier-hold"));
            found.add(
                    harder
                            ? CoreText.of("plan.bed.wording.harder-load")
                            : CoreText.of("plan.bed.wording.easier-fewer"));
        } else if (kind == CueKind.CAUTION) {
            found.add(CoreText.of("plan.bed.wording.caution-stop"));
        }
        List<String> all = new ArrayList<>(found);
        return all.subList(0, Math.min(most, all.size()));
    }
}
