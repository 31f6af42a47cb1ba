package app.nosegay.workout;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;

/** What was done to one workout, so that every step can be taken back and done again, by name. */
public final class History {
    /** Old enough that nobody counts back to it. */
    private static final int MOST = 2000;

    private final Deque<Step> done = new ArrayDeque<>();
    private final Deque<Step> undone = new ArrayDeque<>();
    private Workout now;

    /** One step: the values before and after it, and what it merges with. */
    private record Step(String name, Workout before, Workout after, Object mergeKey) {}

    public History(Workout start) {
        now = start;
    }

    public Workout now() {
        return now;
    }

    /** Does a step of its own. */
    public void apply(String name, Workout next) {
        apply(name, next, null);
    }

    /** Does a step; steps in a row with equal, non-null merge keys become one (typing on one line without a pause). */
    public void apply(String name, Workout next, Object mergeKey) {
        if (next.equals(now)) {
            return;
        }
        undone.clear();
        Step last = done.peek();
        if (mergeKey != null && last != null && mergeKey.equals(last.mergeKey())) {
            done.pop();
            done.push(new Step(name, last.before(), next, mergeKey));
        } else {
            done.push(new Step(name, now, next, mergeKey));
        }
        if (done.size() > MOST) {
            done.removeLast();
        }
        now = next;
    }

    /** Takes the last step back; empty when there is none. */
    public Optional<Workout> undo() {
        if (done.isEmpty()) {
            return Optional.empty();
        }
        Step step = done.pop();
        undone.push(step);
        now = step.before();
        return Optional.of(now);
    }

    /** Does the step last taken back again; empty when there is none. */
    public Optional<Workout> redo() {
        if (undone.isEmpty()) {
            return Optional.empty();
        }
        Step step = undone.pop();
        done.push(step);
        now = step.after();
        return Optional.of(now);
    }

    public Optional<String> undoName() {
        return Optional.ofNullable(done.peek()).map(Step::name);
    }

    public Optional<String> redoName() {
        return Optional.ofNullable(undone.peek()).map(Step::name);
    }
}
