package app.nosegay.plan.sheet;

import app.nosegay.cache.TextMemo;
import java.text.Normalizer;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;

/** Names as parts of segment ids. */
public final class Slug {
    private static final TextMemo<String> KNOWN = new TextMemo<>(Slug::made);

    private final Map<String, Integer> used = new HashMap<>();

    /** The slug of {@code name}: lower case, letters and digits, single hyphens; never empty. */
    static String of(String name) {
        return KNOWN.of(name);
    }

    private static String made(String name) {
        String plain = Normalizer.normalize(name, Normalizer.Form.NFD).replaceAll("\\p{M}", "");
        String slug = plain.toLowerCase(Locale.ROOT)
                .replaceAll("['’]", "")
                .replaceAll("[^\\p{L}\\p{N}]+", "-")
                .replaceAll("^-|-$", "");
        return slug.isEmpty() ? "unnamed" : slug;
    }

    /** The slug of {@code name}, with {@code -2}, {@code -3} … where this one gave it out before. */
    public String next(String name) {
        String slug = of(name);
        int n = used.merge(slug, 1, Integer::sum);
        return n == 1 ? slug : slug + "-" + n;
    }
}
