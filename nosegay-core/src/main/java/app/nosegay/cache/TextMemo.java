package app.nosegay.cache;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;

/**
 * What a pure function gave for each text, so that the same lines are not worked out again at every keystroke. Bounded: past its size it
 * forgets everything and begins again.
 */
public final class TextMemo<V> {
    /** More distinct lines than a long evening of typing makes. */
    private static final int MOST = 20_000;

    private final Map<String, V> known = new ConcurrentHashMap<>();
    private final Function<String, V> function;

    public TextMemo(Function<String, V> function) {
        this.function = function;
    }

    /** The value for {@code text}; the function never gives null. */
    public V of(String text) {
        V value = known.get(text);
        if (value == null) {
            if (known.size() >= MOST) {
                known.clear();
            }
            value = function.apply(text);
            known.put(text, value);
        }
        return value;
    }
}
