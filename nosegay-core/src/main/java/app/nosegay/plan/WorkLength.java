package app.nosegay.plan;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.terms.Amount;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.Counts;
import app.nosegay.plan.terms.Pause;
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
 * @param fromReps whether the length follows from the rep target
 */
record WorkLength(Length length, Integer reps, boolean eachSide, Tempo tempo, boolean open, boolean fromReps) {
    /** Used for work that says nothing of its length, with a finding; the commonest interval of follow-along videos. */
    static final Length UNSTATED = Length.ofSeconds(40);

    /** What ends the work at {@code place} in its round, set or minute {@code index}. */
    static WorkLength of(Place place, int index, MoveLibrary library, Double headerBpm) {
        Attributes line = place.move().attributes();
        Attributes merged = place.attributes();
        Tempo tempo = merged.tempo()
                .or(() -> library.find(place.shownMove()).map(m -> m.tempo()))
                .orElse(Tempo.DEFAULT);
        boolean ownEnd = line.counts().isPresent()
                || line.has(Attribute.WORK)
                || line.has(Attribute.EACH)
                || line.reps().isPresent()
                || line.has(Attribute.HOLD);
        Attributes ends = ownEnd ? line : merged;
        Integer target = ends.reps().map(r -> r.ofSet(index)).orElse(null);
        Integer reps = merged.shown().map(Amount::reps).orElse(target);
        boolean each = ends.reps().map(r -> r.eachSide(merged.sides())).orElse(false);
        Length shownTime = merged.shown().map(Amount::time).orElse(null);
        if (shownTime != null) {
            return new WorkLength(shownTime, target, each, tempo, false, false);
        }
        if (ends.counts().isPresent()) {
            Counts counts = ends.counts().get();
            double secondsPerCount = merged.bpm().map(b -> 60 / b).orElse(headerBpm == null ? 1.0 : 60 / headerBpm);
            Length phrase = Length.ofSeconds(counts.counts() * secondsPerCount);
            return new WorkLength(phrase, counts.reps() == 0 ? null : counts.reps(), true, tempo, false, false);
        }
        Pause clock =
                ends.pause(Attribute.WORK).or(() -> ends.pause(Attribute.EACH)).orElse(null);
        boolean repsEndIt = reps != null && !ownEnd && endsByReps(place.block().kind());
        if (clock != null && !repsEndIt) {
            return new WorkLength(clock.planned(), reps, each, tempo, clock.open(), false);
        }
        if (reps != null) {
            Length pass = merged.rep().map(p -> p.passLength(tempo)).orElse(tempo.repLength());
            return new WorkLength(pass.times(reps), reps, each, tempo, false, true);
        }
        if (ends.length(Attribute.HOLD).isPresent()) {
            return new WorkLength(ends.length(Attribute.HOLD).get(), null, true, tempo, false, false);
        }
        return new WorkLength(UNSTATED, null, false, tempo, true, false);
    }

    /** Whether a block's own rep target ends the set even where it names a clock too: then the clock is the longest it may take. */
    private static boolean endsByReps(BlockKind kind) {
        return kind == BlockKind.SUPERSET || kind == BlockKind.STRAIGHT_SETS;
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
