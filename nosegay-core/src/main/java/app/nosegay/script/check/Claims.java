package app.nosegay.script.check;

import app.nosegay.cache.TextMemo;
import app.nosegay.script.ScriptNotes;
import app.nosegay.text.CoreText;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Statements about health, hormones, fat in one place, ageing or appearance, found by the reviewable patterns of {@code claims.json}. */
public final class Claims {
    private static final List<Known> KNOWN = load();
    private static final TextMemo<List<Claim>> FOUND = new TextMemo<>(Claims::found);

    private Claims() {}

    private record Known(String id, String kind, Pattern pattern, String reason) {}

    /**
     * A claim in a line.
     *
     * @param words the words that make it
     * @param kind health, hormones, spot-fat, ageing, appearance, cure or shaming
     * @param reason why it is worth a look
     */
    public record Claim(String words, String kind, String reason) {
        /** Whether no source makes it fit to say. */
        public boolean isNever() {
            return kind.equals("cure") || kind.equals("shaming");
        }
    }

    private static List<Known> load() {
        List<Known> known = new ArrayList<>();
        try (InputStream in = Claims.class.getResourceAsStream("claims.json")) {
            for (JsonNode n : JsonMapper.builder().build().readTree(in).path("claims")) {
                known.add(new Known(
                        n.path("id").asText(),
                        n.path("kind").asText(),
                        Pattern.compile(n.path("pattern").asText(), Pattern.CASE_INSENSITIVE),
                        n.path("reason").asText()));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(CoreText.of("script.claims.the-shipped-claim-patterns-cannot"), e);
        }
        return known;
    }

    /** The claims in {@code text}. */
    public static List<Claim> in(String text) {
        return FOUND.of(text);
    }

    private static List<Claim> found(String text) {
        List<Claim> claims = new ArrayList<>();
        for (Known k : KNOWN) {
            Matcher m = k.pattern().matcher(text);
            if (m.find()) {
                claims.add(new Claim(m.group(), k.kind(), k.reason()));
            }
        }
        return List.copyOf(claims);
    }

    /** The source given for a claim; empty when it is unsupported. */
    public static Optional<ScriptNotes.Source> source(Claim claim, List<ScriptNotes.Source> sources) {
        String words = claim.words().toLowerCase(Locale.ROOT);
        return sources.stream()
                .filter(s -> !s.source().isBlank())
                .filter(s -> s.claim().equalsIgnoreCase(claim.kind())
                        || words.contains(s.claim().toLowerCase(Locale.ROOT))
                        || s.claim().toLowerCase(Locale.ROOT).contains(words))
                .findFirst();
    }
}
