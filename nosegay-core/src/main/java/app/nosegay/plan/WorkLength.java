package app.nosegay.plan;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.RunSheet.Block;
import app.nosegay.plan.RunSheet.MoveLine;
import app.nosegay.time.Length;
import app.nosegay.time.Tempo;

/**
 * What ends a stretch of work and how long that makes it: a counted phrase, a clock, a rep target or a hold; the move's own word
 * before its block's.
 *
 * @param length the whole work time; for one side where {@code perSide}
 * @param reps the rep target as written, for both sides together unless {@code eachSide}; null when a clock ends it
 * @param eachSide whether the target holds for each side
 * @param tempo the tempo of one rep
 * @param open whether the length is an estimate
 */
record WorkLength(Length length, Integer reps, boolean eachSide, Tempo tempo, boolean open, boolean fromReps) {
    /** Used for work that says nothing of its length, with a finding; the commonest interval of follow-along videos. */
    static final Length UNSTATED = Length.ofSeconds(40);

    static WorkLength of(
            MoveLine move, Block block, Attributes line, int index, MoveLibrary library, Double headerBpm) {
        Attributes merged = line.over(block.attributes());
        Tempo tempo = merged.tempo()
                .or(() -> library.find(move.name()).map(m -> m.tempo()))
                .orElse(Tempo.DEFAULT);
        boolean ownEnd = line.counts().isPresent()
                || line.has(Attribute.WORK)
                || line.reps().isPresent()
                || line.has(Attribute.HOLD);
        Attributes ends = ownEnd ? line : merged;
        Integer reps = ends.reps().map(r -> r.ofSet(index)).orElse(null);
        boolean each = ends.reps().map(Reps::eachSide).orElse(false);
        if (ends.counts().isPresent()) {
            Counts counts = ends.counts().get();
            double secondsPerCount = merged.bpm().map(b -> 60 / b).orElse(headerBpm == null ? 1.0 : 60 / headerBpm);
            return new WorkLength(
                    Length.ofSeconds(counts.counts() * secondsPerCount),
                    counts.reps() == 0 ? null : counts.reps(),
                    true,
                    tempo,
                    false,
                    false);
        }
        Pause clock =
                ends.pause(Attribute.WORK).or(() -> ends.pause(Attribute.EACH)).orElse(null);
        if (clock != null && (ownEnd || !ends.has(Attribute.REPS) || block.kind() != BlockKind.SUPERSET)) {
            return new WorkLength(clock.planned(), reps, each, tempo, clock.open(), false);
        }
        if (reps != null) {
            int parts = Math.max(1, merged.list(Attribute.REP).size());
            return new WorkLength(tempo.repLength().times((double) reps * parts), reps, each, tempo, false, true);
        }
        if (ends.length(Attribute.HOLD).isPresent()) {
            return new WorkLength(ends.length(Attribute.HOLD).get(), null, true, tempo, false, false);
        }
        return new WorkLength(UNSTATED, null, false, tempo, true, false);
    }

    /** The reps of one side when the target is shared by two; the first side takes the odd one. */
    Integer repsOfSide(boolean first) {
        return reps == null ? null : eachSide ? reps : first ? (reps + 1) / 2 : reps / 2;
    }

    /** The time of one side as its own interval. */
    Length ofSide(boolean first) {
        if (!fromReps) {
            return length;
        }
        return eachSide ? length : length.times((double) repsOfSide(first) / reps);
    }
}
