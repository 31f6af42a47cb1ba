package app.nosegay.cache;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;

/**
 * What was worked out from one large value and is kept as long as that value: it is owned by the value and goes with it. Each kind of
 * question is a class of keys with a bound of its own.
 */
public final class Derived {
    private final Map<Class<?>, BoundedCache<Object, Object>> byQuestion = new ConcurrentHashMap<>();

    /**
     * The answer to {@code question}, worked out the first time.
     *
     * @param most how many answers to questions of this class are kept
     * @param question a record that holds all the answer depends on beside the owner
     */
    @SuppressWarnings("unchecked") // one class of questions has one type of answers
    public <V> V get(int most, Record question, Supplier<V> answer) {
        return (V) byQuestion
                .computeIfAbsent(question.getClass(), c -> new BoundedCache<>(most))
                .get(question, (Supplier<Object>) answer);
    }
}
