package app.nosegay.plan.check;

import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * The usual cautions by audience (docs/domain.md), from the reviewable file {@code cautions.json}. General information that defers to
 * licensed practice: a rule never says that a move is safe, only what is usually said about it.
 */
public final class Cautions {
    /** What every workout says before the first movement and in its description. */
    public static final String SCREENING = CoreText.of("plan.check.cautions.ask-your-doctor-or-physiotherapist");

    /** Stands with every caution shown to people. */
    public static final String DEFERENCE = CoreText.of("plan.check.cautions.general-information-not-medical");

    private static final List<Rule> RULES = load();

    private Cautions() {}

    /** What a rule asks for. */
    public enum Level {
        /** Say or show the caution. */
        CAUTION,
        /** Offer the option as well. */
        OPTION,
        /** Leave the move out and ask one's clinician. */
        LEAVE_OUT
    }

    /**
     * A rule.
     *
     * @param id stable
     * @param audience for whom
     * @param when what sets it off, any of them: {@code trait:supine}, {@code pattern:jump}, {@code position:plank}, {@code move:…}
     * @param longerThan only for stretches longer than this, or null
     * @param level what it asks for
     * @param text what is said or shown
     * @param option the option that has to be offered, or empty
     * @param reason why
     */
    public record Rule(
            String id,
            Audience audience,
            List<String> when,
            Length longerThan,
            Level level,
            String text,
            String option,
            String reason) {
        /** Whether {@code move} sets it off. */
        public boolean fits(Move move) {
            return when.stream().anyMatch(w -> {
                String value = w.substring(w.indexOf(':') + 1);
                return switch (w.substring(0, w.indexOf(':'))) {
                    case "trait" -> move.has(value);
                    case "pattern" -> move.pattern().equals(value);
                    case "position" -> move.position().equals(value);
                    case "move" -> move.name().equals(value);
                    default ->
                        throw new IllegalArgumentException(
                                CoreText.of("plan.check.cautions.unknown-condition-in-cautions", w));
                };
            });
        }
    }

    /** A rule that a segment sets off. */
    public record Raised(Rule rule, Segment segment, Move move) {}

    private static List<Rule> load() {
        List<Rule> rules = new ArrayList<>();
        try (InputStream in = Cautions.class.getResourceAsStream("cautions.json")) {
            for (JsonNode n : JsonMapper.builder().build().readTree(in).path("rules")) {
                List<String> when = new ArrayList<>();
                n.path("when").forEach(w -> when.add(w.asText()));
                Length longer = n.path("longerThanSeconds").isNumber()
                        ? Length.ofSeconds(n.path("longerThanSeconds").asDouble())
                        : null;
                rules.add(new Rule(
                        n.path("id").asText(),
                        Audience.of(n.path("audience").asText()).orElseThrow(),
                        when,
                        longer,
                        Level.valueOf(n.path("level")
                                .asText()
                                .toUpperCase(java.util.Locale.ROOT)
                                .replace('-', '_')),
                        n.path("text").asText(),
                        n.path("option").asText(""),
                        n.path("reason").asText()));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(CoreText.of("plan.check.cautions.the-shipped-caution-rules-cannot"), e);
        }
        return rules;
    }

    public static List<Rule> rules() {
        return RULES;
    }

    /** The audiences a timeline's sheet names and that are known. */
    public static Set<Audience> audiences(Timeline timeline) {
        Set<Audience> audiences = EnumSet.noneOf(Audience.class);
        timeline.sheet().header().audience().forEach(a -> Audience.of(a).ifPresent(audiences::add));
        return audiences;
    }

    /** Every rule the timeline sets off, once per move, at its first segment. */
    public static List<Raised> raised(Timeline timeline, MoveLibrary library) {
        Set<Audience> audiences = audiences(timeline);
        List<Raised> raised = new ArrayList<>();
        Set<String> done = new LinkedHashSet<>();
        List<Rule> rules =
                RULES.stream().filter(r -> audiences.contains(r.audience())).toList();
        for (Segment s : timeline.segments()) {
            if (!s.kind().isMoving() || rules.isEmpty()) {
                continue;
            }
            for (Move move : s.moves(library)) {
                rules.stream()
                        .filter(r -> r.longerThan() == null || s.duration().compareTo(r.longerThan()) > 0)
                        .filter(r -> !r.option().contains(move.name()) && r.fits(move))
                        .filter(r -> done.add(r.id() + " " + move.name()))
                        .forEach(r -> raised.add(new Raised(r, s, move)));
            }
        }
        return raised;
    }

    /** The cautions to say and to print in the description: each text once, in order. */
    public static List<String> texts(Timeline timeline, MoveLibrary library) {
        Set<String> texts = new LinkedHashSet<>();
        raised(timeline, library).forEach(r -> texts.add(r.rule().text()));
        return List.copyOf(texts);
    }
}
