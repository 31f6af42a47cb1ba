package app.nosegay.calls.meaning;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.phrase.FoundCall;
import app.nosegay.captions.Speech;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.OptionalDouble;

/** What was heard up to here: the calls, whether work goes on, and since when. */
final class CallContext extends CallHistory {
    /** Work of unknown length is taken to be over after this, in seconds, though nobody said so. */
    private static final double LONGEST_WORK = 100;
    /** A count ends this near to where a call of the seconds left put the end, in seconds. */
    private static final double FORETOLD_WITHIN = 4;

    /** What is said within this many seconds of a count's end belongs to it. */
    private static final double AFTER_A_COUNT = 4;
    /** A set is counted to this many more at least. */
    private static final int FEWEST_COUNTED = 3;
    /** Work is not over sooner than this after its move was brought up, in seconds. */
    private static final double SHORTEST_WORK = 20;

    /** Who called more repetitions than this and never a time goes by repetitions. */
    private static final int MOSTLY = 3;
    /** A repetition takes no longer, in seconds. */
    private static final double SLOWEST_REP = 3;
    /** Work of unknown length may be over after this, in seconds. */
    private static final double LONG_WORK = 25;
    /** A move may be named this share of the interval before the next begins. */
    private static final double NEARLY = 0.85;
    /** Nobody calls the time more exactly, in seconds. */
    private static final double TO_THE_SECOND = 2.5;
    /** Work on the other side begins within this of the change, in seconds. */
    private static final double SWITCHING = 12;
    /** Changes of side nearer together than this, in seconds, are of an alternating move. */
    private static final double BEAT = 12;
    /** What is said of its length this near to its start, in seconds, is of this interval. */
    private static final double AT_THE_START = 10;
    /** What is said of its length so soon after work is of this rest, in seconds. */
    private static final double OF_THE_REST = 12;
    /** This soon after a "rest", in seconds, nobody works. */
    private static final double JUST_SAID = 6;

    private boolean working;
    /** Whether the time left was ever told while working. */
    private boolean timeToldAtWork;

    private Time<Axis.Take> lastStart;
    /** Whether something new was brought up since work was last heard to start: the rest between was perhaps not said. */
    private boolean previewed;

    CallContext(Speech speech) {
        super(speech);
    }

    @Override
    void add(Call call) {
        timeToldAtWork |= working && call.kind() == CallKind.SECONDS_LEFT;
        super.add(call);
    }

    /** Work starts with {@code f}. */
    void work(FoundCall f) {
        working = true;
        previewed = false;
        lastStart = speech.start(f.from());
    }

    /** Work, if there is any, goes on for as long again. */
    void goOn(FoundCall f) {
        if (working) {
            lastStart = speech.start(f.from());
        }
    }

    /** Work ends with {@code f}. */
    void rest(FoundCall f) {
        working = false;
        lastStart = lastStart == null ? speech.start(f.from()) : lastStart;
    }

    /** A count down ended: work goes on only on the other side. */
    void counted(boolean on) {
        working = on;
    }

    /** Something new was brought up. */
    void preview() {
        previewed |= working;
    }

    boolean isPreviewed() {
        return previewed;
    }

    /** Whether work was ever heard to start or to end. */
    boolean hasStarted() {
        return lastStart != null;
    }

    /** Whether work was heard to start and not to end, however long ago. */
    boolean isThoughtWorking() {
        return working;
    }

    /** Whether work goes on: it was heard to start, and that is not so long ago that its end must have been missed. */
    boolean isWorking(FoundCall f) {
        boolean long_ = lastStart != null && sinceStart(f) > longestWork();
        return working && (!long_ || isTimeLeft(f));
    }

    /** Whether the time that was left the last time it was told is not up. */
    boolean isTimeLeft(FoundCall f) {
        Call left = last(CallKind.SECONDS_LEFT);
        return left != null
                && left.time().since(lastStart).seconds() > 0
                && speech.start(f.from()).since(left.time()).seconds() < left.value() + FORETOLD_WITHIN;
    }

    /** Whether work has lasted nearly as long as it was said to, or as the shortest does where nothing was said. */
    boolean isLongSinceStart(FoundCall f) {
        return lastStart != null && sinceStart(f) > workSeconds().orElse(LONG_WORK) * NEARLY;
    }

    /**
     * Whether the side was changed a moment ago, for the rest of a set and not as the beat of an alternating move, and nobody has begun
     * since.
     */
    boolean isSwitchedOver(FoundCall f) {
        Call last = null;
        Call before = null;
        for (Call c : calls()) {
            if (c.kind() == CallKind.SWITCH_SIDE) {
                before = last;
                last = c;
            }
        }
        return last != null
                && (saidWithin(CallKind.SWITCH_SIDE, SWITCHING, f)
                        || isSaidSince(CallKind.SECONDS_LEFT, CallKind.SWITCH_SIDE) && isAnnounced(f.from() + 1))
                && (before == null || last.time().since(before.time()).seconds() > BEAT)
                && !isSaidSince(CallKind.START, CallKind.SWITCH_SIDE)
                && !isSaidSince(CallKind.COUNT_IN, CallKind.SWITCH_SIDE);
    }

    /** Whether "rest" was only just said. */
    boolean isResting(FoundCall f) {
        return !working && saidWithin(CallKind.REST, JUST_SAID, f);
    }

    /** Whether a move was brought up in this rest, and only just: "try one more rep this time" is not of now. */
    boolean isBeingBroughtUp(FoundCall f) {
        return !isWorking(f)
                && isSaidSince(CallKind.NEXT_UP, CallKind.REST)
                && last(CallKind.REST) != null
                && saidWithin(CallKind.NEXT_UP, SHORTEST_WORK, f);
    }

    /** Whether a figure said now is likely the length of this rest. */
    boolean isAtRestSince(FoundCall f) {
        return !working && saidWithin(CallKind.REST, OF_THE_REST, f);
    }

    /** Whether work goes on, or was brought up so long ago that its start must have been missed. */
    boolean isPerhapsWorking(FoundCall f) {
        return isWorking(f)
                || isSaidSince(CallKind.NEXT_UP, CallKind.REST) && !saidWithin(CallKind.NEXT_UP, SHORTEST_WORK, f);
    }

    double sinceStart(FoundCall f) {
        return speech.start(f.from()).since(lastStart).seconds();
    }

    /** What work lasts at the most, in seconds: by what was said of it, else by what is usual. */
    private double longestWork() {
        double said = Math.max(workSeconds().orElse(0), saidAtStart().orElse(0));
        return said > 0 ? 1.3 * said + 8 : LONGEST_WORK;
    }

    /** How long this interval was said to last when it started, in seconds. */
    private OptionalDouble saidAtStart() {
        Call left = last(CallKind.SECONDS_LEFT, SHORTEST_WORK);
        return left != null
                        && lastStart != null
                        && Math.abs(left.time().since(lastStart).seconds()) < AT_THE_START
                ? OptionalDouble.of(left.value())
                : OptionalDouble.empty();
    }

    /** How long work was said to last, in seconds. */
    private OptionalDouble workSeconds() {
        return calls().stream()
                .filter(c -> c.kind() == CallKind.TOTAL && "work-seconds".equals(c.of()))
                .mapToDouble(c -> Math.max(c.value(), c.to() == null ? 0 : c.to()))
                .max();
    }

    /** Whether repetitions were counted until just now: a move named then takes their place. */
    boolean isCounted(FoundCall f) {
        Call counted = last(CallKind.REP_COUNT);
        return counted != null
                && counted.to() != null
                && Math.abs(counted.to() - counted.value()) >= FEWEST_COUNTED
                && saidWithin(CallKind.REP_COUNT, AFTER_A_COUNT, f);
    }

    /** Whether repetitions were only just counted up to a number that was told before. */
    boolean isTargetReached(FoundCall f) {
        Call counted = last(CallKind.REP_COUNT);
        return counted != null
                && saidWithin(CallKind.REP_COUNT, JUST_SAID, f)
                && calls().stream()
                        .anyMatch(c -> c.kind() == CallKind.TOTAL
                                && "reps".equals(c.of())
                                && c.value().equals(counted.to()));
    }

    /** Whether so few repetitions were left less than {@code seconds} after they can have been done that the next move may follow. */
    boolean isFewLeft(double seconds, FoundCall f) {
        Call left = last(CallKind.REPS_LEFT);
        return left != null
                && left.value() <= FEWEST_COUNTED
                && saidWithin(CallKind.REPS_LEFT, SLOWEST_REP * left.value() + seconds, f)
                && !isSaidSince(CallKind.NEXT_UP, CallKind.REPS_LEFT);
    }

    /** Whether work goes by the clock. */
    boolean isTimed() {
        return workSeconds().isPresent() || isBySeconds();
    }

    /** Whether the seconds {@code f} tells to be over are half of what work was said to last. */
    boolean isHalf(FoundCall f) {
        return isHalf(workSeconds(), f) || isHalf(saidAtStart(), f);
    }

    private static boolean isHalf(OptionalDouble length, FoundCall f) {
        return length.isPresent() && Math.abs(length.getAsDouble() / 2 - f.value()) <= 1;
    }

    /** Whether "ten seconds left" was said, as long before the end of what is said up to {@code to}. */
    boolean isAnnounced(int to) {
        return isAnnounced(to, FORETOLD_WITHIN);
    }

    /** The same, within {@code seconds}. */
    boolean isAnnounced(int to, double seconds) {
        Call left = last(CallKind.SECONDS_LEFT);
        if (left == null || lastStart == null || left.time().isBefore(lastStart)) {
            return false;
        }
        double end = speech.end(to - 1).since(left.time()).seconds();
        return Math.abs(end - left.value()) < seconds;
    }

    /** Whether {@code seconds} from now are the end of an interval as long as it was said to be. */
    boolean isToTheEnd(double seconds, FoundCall f) {
        return lastStart != null
                && workSeconds().isPresent()
                && Math.abs(sinceStart(f) + seconds - workSeconds().getAsDouble()) < TO_THE_SECOND;
    }

    /** Whether work has lasted just as long as it was said to. */
    boolean isOver(FoundCall f) {
        return working
                && lastStart != null
                && workSeconds().isPresent()
                && Math.abs(sinceStart(f) - workSeconds().getAsDouble()) < TO_THE_SECOND;
    }

    /** Whether work would have lasted longer than it was said to. */
    boolean isPastTheEnd(FoundCall f) {
        return lastStart != null
                && workSeconds().isPresent()
                && sinceStart(f) > workSeconds().getAsDouble() + TO_THE_SECOND;
    }

    /** Whether a rest has lasted just as long as rests were said to. */
    boolean isRestOver(FoundCall f) {
        OptionalDouble length = calls().stream()
                .filter(c -> c.kind() == CallKind.TOTAL && "rest-seconds".equals(c.of()))
                .mapToDouble(Call::value)
                .min();
        Call rest = last(CallKind.REST);
        return !working
                && rest != null
                && length.isPresent()
                && Math.abs(speech.start(f.from()).since(rest.time()).seconds() - length.getAsDouble()) < TO_THE_SECOND;
    }

    /** Whether the time left was called since work started, and no repetition. */
    boolean isBySeconds() {
        return lastStart != null
                && (since(CallKind.SECONDS_LEFT, lastStart) || workSeconds().isPresent())
                && !since(CallKind.REP_COUNT, lastStart)
                && !since(CallKind.REPS_LEFT, lastStart);
    }

    /** Whether repetitions were called since work started, and never the time. */
    boolean isByReps() {
        return lastStart != null
                && !timeToldAtWork
                && workSeconds().isEmpty()
                && count(CallKind.REPS_LEFT) + count(CallKind.REP_COUNT) >= 2
                && (since(CallKind.REPS_LEFT, lastStart)
                        || since(CallKind.REP_COUNT, lastStart)
                        || count(CallKind.SECONDS_LEFT) == 0 && count(CallKind.REPS_LEFT) > MOSTLY);
    }

    /** Whether it was told how many repetitions this move has, and no time since. */
    boolean isOfSoManyReps() {
        Call total = last(CallKind.TOTAL);
        return total != null
                && "reps".equals(total.of())
                && isSaidSince(CallKind.TOTAL, CallKind.NEXT_UP)
                && isSaidSince(CallKind.TOTAL, CallKind.SECONDS_LEFT);
    }

    /** Whether the time left is what this speaker calls, most of the time. */
    boolean isMostlyBySeconds() {
        long seconds = count(CallKind.SECONDS_LEFT);
        return seconds >= 2 && seconds > count(CallKind.REPS_LEFT) + count(CallKind.REP_COUNT);
    }

    /** Whether {@code count} just ended; a count down lasts at least its seconds, whatever the caption's times. */
    boolean isJustAfter(Call count, FoundCall f) {
        double since = speech.start(f.from()).since(count.time()).seconds();
        return since < count.value() + AFTER_A_COUNT
                || speech.start(f.from()).since(count.end()).seconds() < AFTER_A_COUNT / 2;
    }

    /** Whether {@code kind} was said since work last started. */
    boolean isSaidSinceStart(CallKind kind) {
        return lastStart != null && since(kind, lastStart);
    }
}
