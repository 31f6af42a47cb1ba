package app.nosegay.plan;

/**
 * Something a stage found that the creator should know.
 *
 * @param code stable, {@code stage.problem}; the table is docs/format/findings.md
 * @param severity how much it matters
 * @param segment the segment it is about, or null
 * @param message what it is, with the figures
 * @param fix what would mend it, or null
 */
public record Finding(String code, Severity severity, String segment, String message, String fix) {
    /** From "do not publish like this" to "worth knowing". */
    public enum Severity {
        STOP,
        FIX,
        LOOK,
        NOTE;

        public String word() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }
    }
}
