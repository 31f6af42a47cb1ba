package app.nosegay.plan.sheet;

import app.nosegay.cache.TextMemo;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One line of a run sheet, cut into its chunks: the name first, then the attributes, parted by two or more spaces, a tab or {@code " | "}.
 *
 * @param number from 1
 * @param indent leading columns; a tab counts as two
 * @param text the line without indent, comment and trailing space
 * @param chunks its chunks with their columns
 */
record SheetLine(int number, int indent, String text, List<Chunk> chunks) {
    private static final Pattern GAP = Pattern.compile("(?: {2,}|\\t+| \\| ?)[ \\t|]*");
    private static final Pattern COMMENT = Pattern.compile("(?:^|(?<=\\s))#.*$");

    /**
     * A piece of a line.
     *
     * @param column of its first character, from 1
     */
    record Chunk(int column, String text) {
        String firstWord() {
            int space = text.indexOf(' ');
            return space < 0 ? text : text.substring(0, space);
        }

        String rest() {
            return text.substring(firstWord().length()).strip();
        }
    }

    /** Lines as cut; of a sheet that is typed in only one line changes. */
    private static final TextMemo<SheetLine> CUT = new TextMemo<>(SheetLine::cut);

    static SheetLine read(int number, String raw) {
        SheetLine cut = CUT.of(raw);
        return new SheetLine(number, cut.indent, cut.text, cut.chunks);
    }

    private static SheetLine cut(String raw) {
        String line = COMMENT.matcher(raw.replace('\u00a0', ' ')).replaceFirst("");
        int start = 0;
        int indent = 0;
        while (start < line.length() && (line.charAt(start) == ' ' || line.charAt(start) == '\t')) {
            indent += line.charAt(start++) == '\t' ? 2 : 1;
        }
        String text = line.substring(start).stripTrailing();
        List<Chunk> chunks = new ArrayList<>();
        Matcher gap = GAP.matcher(text);
        int from = 0;
        while (gap.find()) {
            if (gap.start() > from) {
                chunks.add(new Chunk(start + from + 1, text.substring(from, gap.start())));
            }
            from = gap.end();
        }
        if (from < text.length()) {
            chunks.add(new Chunk(start + from + 1, text.substring(from)));
        }
        return new SheetLine(0, indent, text, List.copyOf(chunks));
    }

    boolean isBlank() {
        return text.isEmpty();
    }

    int column() {
        return chunks.isEmpty() ? 1 : chunks.get(0).column();
    }
}
