package app.nosegay.calls.phrase;

import app.nosegay.calls.CallKind;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A file of wordings. A line at the margin begins a rule: the kind of call (or {@code never}), in brackets what its number is of, behind
 * {@code =} the value the words stand for. Each indented line behind it, after a bar, is one wording: a regular expression as {@link
 * CallRule} reads it; a plus in place of the bar continues the line before. Lines that begin with {@code #} are comments. The order of
 * rules matters, that of wordings within a rule as well.
 */
final class PhraseFile {
    private static final Pattern HEAD = Pattern.compile("([a-z-]+)(?: \\[([^\\]]+)])?(?: = (-?\\d+))?");
    private static final String WORDING = "  |";
    private static final String MORE = "  +";
    private static final String NEVER = "never";

    private PhraseFile() {}

    /** The rules of a shipped file, in order. */
    static List<CallRule> read(String name) {
        try (InputStream in = PhraseFile.class.getResourceAsStream(name)) {
            return rules(name, new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @throws IllegalArgumentException where a line is neither a rule's head nor a wording, with its number */
    static List<CallRule> rules(String name, String text) {
        List<CallRule> rules = new ArrayList<>();
        String head = null;
        List<String> wordings = new ArrayList<>();
        int number = 0;
        for (String line : text.split("\n")) {
            number++;
            if (line.startsWith(WORDING) && head != null) {
                wordings.add(line.substring(WORDING.length()));
            } else if (line.startsWith(MORE) && !wordings.isEmpty()) {
                wordings.add(wordings.remove(wordings.size() - 1) + line.substring(MORE.length()));
            } else if (!line.isBlank() && !line.startsWith("#")) {
                if (!HEAD.matcher(line).matches()) {
                    throw new IllegalArgumentException(name + ", line " + number + ": " + line);
                }
                add(rules, head, wordings);
                head = line;
                wordings.clear();
            }
        }
        add(rules, head, wordings);
        return List.copyOf(rules);
    }

    private static void add(List<CallRule> rules, String head, List<String> wordings) {
        if (head == null) {
            return;
        }
        String pattern = String.join("|", wordings);
        Matcher m = HEAD.matcher(head);
        m.matches();
        if (m.group(1).equals(NEVER)) {
            rules.add(CallRule.never(pattern));
            return;
        }
        CallKind kind = CallKind.valueOf(m.group(1).toUpperCase(Locale.ROOT).replace('-', '_'));
        rules.add(CallRule.rule(kind, m.group(2), m.group(3) == null ? null : Integer.valueOf(m.group(3)), pattern));
    }
}
