package app.nosegay.bench;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Strongly connected components of a graph (Tarjan 1972): groups in which each reaches every other. */
final class Circles {
    private final Map<String, Set<String>> edges;
    private final Map<String, Integer> index = new HashMap<>();
    private final Map<String, Integer> low = new HashMap<>();
    private final Deque<String> open = new ArrayDeque<>();
    private final Set<String> isOpen = new HashSet<>();
    private final List<List<String>> found = new ArrayList<>();

    private Circles(Map<String, Set<String>> edges) {
        this.edges = edges;
    }

    /** Every group of more than one. */
    static List<List<String>> in(Map<String, Set<String>> edges) {
        Circles circles = new Circles(edges);
        edges.keySet().stream().filter(v -> !circles.index.containsKey(v)).forEach(circles::occurrence);
        return circles.found.stream().filter(c -> c.size() > 1).toList();
    }

    private void occurrence(String v) {
        index.put(v, index.size());
        low.put(v, index.get(v));
        open.push(v);
        isOpen.add(v);
        for (String w : edges.getOrDefault(v, Set.of())) {
            if (!index.containsKey(w)) {
                occurrence(w);
                low.merge(v, low.get(w), Math::min);
            } else if (isOpen.contains(w)) {
                low.merge(v, index.get(w), Math::min);
            }
        }
        if (low.get(v).equals(index.get(v))) {
            List<String> circle = new ArrayList<>();
            String w;
            do {
                w = open.pop();
                isOpen.remove(w);
                circle.add(w);
            } while (!w.equals(v));
            found.add(circle);
        }
    }
}
