package app.nosegay.plan.bed;

import app.nosegay.text.CoreText;
import java.util.Locale;

/**
 * A small tag on a leaf.
 *
 * @param text what it says in full
 */
public record Tag(Kind kind, String text) {
    /** What a tag is about. */
    public enum Kind {
        EASIER,
        HARDER,
        CAUTION,
        GEAR,
        VIEW,
        LEVEL;

        /** The word on the tag. */
        public String label() {
            return CoreText.of("plan.bed.tag." + name().toLowerCase(Locale.ROOT));
        }
    }

    /** What stands on the tag: gear, view and level by their names, the others by their kind. */
    public String label() {
        return switch (kind) {
            case GEAR, LEVEL -> text;
            case VIEW -> CoreText.of("plan.bed.view", text);
            default -> kind.label();
        };
    }

    String spoken() {
        return kind.label() + ": " + text;
    }
}
