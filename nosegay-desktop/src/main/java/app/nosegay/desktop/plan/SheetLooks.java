package app.nosegay.desktop.plan;

import app.nosegay.cache.TextMemo;
import app.nosegay.library.CueKind;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Problem;
import app.nosegay.plan.terms.BlockKind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.fxmisc.richtext.model.StyleSpans;
import org.fxmisc.richtext.model.StyleSpansBuilder;

/** How a line of the written sheet looks: what is a block, a header, a cue, an attribute, a comment, and what could not be read. */
final class SheetLooks {
    private static final Pattern ATTRIBUTE =
            Pattern.compile("(?<=  |\\t|\\| )(" + String.join("|", Attribute.allWords()) + ")(?= |$)");
    private static final Pattern CUE =
            Pattern.compile("^\\s+(" + String.join("|", CueKind.words()) + "|level|round|set|view|rep)( [^:]*)?:.*$");
    private static final Pattern BLOCK =
            Pattern.compile("^(" + String.join("|", BlockKind.words()) + ")(?= |$)([^#]*?)(?=  |$)");

    /** The looks of a line without errors. */
    private static final TextMemo<StyleSpans<Collection<String>>> PLAIN =
            new TextMemo<>(line -> spans(pieces(line, List.of())));

    private SheetLooks() {}

    /** The looks of a line, with what is wrong in it. */
    static StyleSpans<Collection<String>> of(String line, List<Problem> wrong) {
        return wrong.isEmpty() ? PLAIN.of(line) : spans(pieces(line, wrong));
    }

    /** Whether moves may stand below a line. */
    static boolean opensBlock(String line) {
        return BLOCK.matcher(line).find() && !line.startsWith("talk") && !line.startsWith("rest");
    }

    private static StyleSpans<Collection<String>> spans(List<Piece> pieces) {
        StyleSpansBuilder<Collection<String>> spans = new StyleSpansBuilder<>();
        pieces.forEach(p -> spans.add(p.styles(), p.length()));
        return spans.create();
    }

    private record Piece(Collection<String> styles, int length) {}

    /** The styles of a line, run by run. */
    private static List<Piece> pieces(String line, List<Problem> here) {
        String[] style = styles(line);
        boolean[] wrong = wrong(line, here);
        List<Piece> pieces = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= line.length(); i++) {
            boolean ends = i == line.length() || !Objects.equals(style[i], style[from]) || wrong[i] != wrong[from];
            if (ends) {
                List<String> styles = new ArrayList<>();
                if (style[from] != null) {
                    styles.add(style[from]);
                }
                if (wrong[from]) {
                    styles.add("error");
                }
                pieces.add(new Piece(styles, i - from));
                from = i;
            }
        }
        return pieces;
    }

    /** What each letter is part of; null for nothing in particular. */
    private static String[] styles(String line) {
        String[] style = new String[line.length()];
        Matcher block = BLOCK.matcher(line);
        if (block.find()) {
            fill(style, 0, block.end(1), "block");
            fill(style, block.start(2), block.end(2), "block-name");
        } else if (CUE.matcher(line).matches()) {
            fill(style, 0, line.indexOf(':') + 1, "cue");
        } else if (!line.startsWith(" ") && !line.startsWith("\t") && line.contains(":")) {
            fill(style, 0, line.indexOf(':') + 1, "header");
        }
        Matcher attribute = ATTRIBUTE.matcher(line);
        while (attribute.find()) {
            fill(style, attribute.start(1), attribute.end(1), "attribute");
        }
        int comment = line.startsWith("#") ? 0 : line.indexOf(" #");
        if (comment >= 0) {
            fill(style, comment, line.length(), "comment");
        }
        return style;
    }

    private static boolean[] wrong(String line, List<Problem> here) {
        boolean[] wrong = new boolean[line.length()];
        for (Problem p : here) {
            int from = Math.min(Math.max(0, p.column() - 1), Math.max(0, line.length() - 1));
            Arrays.fill(
                    wrong,
                    from,
                    Math.min(line.length(), from + Math.max(1, p.found().length())),
                    true);
        }
        return wrong;
    }

    private static void fill(String[] style, int from, int to, String name) {
        for (int i = from; i < Math.min(to, style.length); i++) {
            style[i] = name;
        }
    }
}
