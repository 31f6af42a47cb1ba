package app.nosegay.cache;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/** The last few answers of a pure function; the one not asked for the longest goes first. Safe from several threads. */
public final class BoundedCache<K, V> {
    private final Map<K, V> kept;

    /** @param most how many answers are kept, from 1 */
    public BoundedCache(int most) {
        kept = new LinkedHashMap<>(16, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
                return size() > most;
            }
        };
    }

    /** The answer for {@code key}, worked out where it is not kept; never null. Two threads may both work it out. */
    public V get(K key, Supplier<V> answer) {
        synchronized (kept) {
            V known = kept.get(key);
            if (known != null) {
                return known;
            }
        }
        V found = answer.get();
        synchronized (kept) {
            kept.put(key, found);
        }
        return found;
    }

    public int size() {
        synchronized (kept) {
            return kept.size();
        }
    }
}
