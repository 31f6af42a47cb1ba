package app.nosegay.plan.sheet;

import app.nosegay.plan.terms.Pause;
import java.util.List;
import java.util.Optional;

/** Writes attributes into lines of a run sheet, leaving indent, other attributes and comments as they are. */
public final class SheetText {
    private SheetText() {}

    /** The line numbered {@code line} of {@code text}, from 1; empty beyond its end. */
    public static String line(String text, int line) {
        String[] lines = text.split("\r\n|\n|\r", -1);
        return line >= 1 && line <= lines.length ? lines[line - 1] : "";
    }

    /** {@code line} with {@code attribute} at {@code value}, in its place where it is there, else behind the others. */
    public static String with(String line, Attribute attribute, String value) {
        SheetLine read = SheetLine.read(1, line);
        String written = value.isEmpty() ? attribute.word() : attribute.word() + " " + value;
        for (SheetLine.Chunk chunk : read.chunks()) {
            if (chunk != read.chunks().get(0) && chunk.firstWord().equalsIgnoreCase(attribute.word())) {
                int from = chunk.column() - 1;
                return line.substring(0, from)
                        + written
                        + line.substring(from + chunk.text().length());
            }
        }
        int end = endOf(read, line);
        return line.substring(0, end) + "  " + written + line.substring(end);
    }

    /** What stands behind {@code attribute} on {@code line}; empty where it is not there. */
    public static Optional<String> value(String line, Attribute attribute) {
        return SheetLine.read(1, line).chunks().stream()
                .skip(1)
                .filter(c -> c.firstWord().equalsIgnoreCase(attribute.word()))
                .map(SheetLine.Chunk::rest)
                .findFirst();
    }

    /** The bare length on a talk or rest line, as written. */
    public static Optional<String> length(String line) {
        SheetLine read = SheetLine.read(1, line);
        for (SheetLine.Chunk chunk : read.chunks()) {
            String text = chunk == read.chunks().get(0) ? chunk.rest() : chunk.text();
            if (Pause.parse(text).isPresent()) {
                return Optional.of(text);
            }
        }
        return Optional.empty();
    }

    /** A block's line with another name, or none; a move's line with another move, its attributes kept. */
    public static String withName(String line, String name) {
        SheetLine read = SheetLine.read(1, line);
        if (read.chunks().isEmpty()) {
            return line;
        }
        SheetLine.Chunk first = read.chunks().get(0);
        int from = first.column() - 1;
        String length = read.indent() == 0 && Pause.parse(first.rest()).isPresent() ? "  " + first.rest() : "";
        String written = read.indent() > 0 ? name : (first.firstWord() + " " + name).strip() + length;
        return line.substring(0, from)
                + written
                + line.substring(from + first.text().length());
    }

    /** {@code line} without {@code attribute}. */
    public static String without(String line, Attribute attribute) {
        SheetLine read = SheetLine.read(1, line);
        List<SheetLine.Chunk> chunks = read.chunks();
        for (int i = 1; i < chunks.size(); i++) {
            if (chunks.get(i).firstWord().equalsIgnoreCase(attribute.word())) {
                SheetLine.Chunk before = chunks.get(i - 1);
                int from = before.column() - 1 + before.text().length();
                int to = chunks.get(i).column() - 1 + chunks.get(i).text().length();
                return line.substring(0, from) + line.substring(to);
            }
        }
        return line;
    }

    /** A line with its bare length, as talk and rest lines have it, at {@code value}. */
    public static String withLength(String line, String value) {
        SheetLine read = SheetLine.read(1, line);
        for (SheetLine.Chunk chunk : read.chunks()) {
            String head = chunk == read.chunks().get(0) ? chunk.firstWord() + " " : "";
            String rest =
                    chunk.text().substring(Math.min(head.length(), chunk.text().length()));
            if (Pause.parse(rest).isPresent()) {
                int from = chunk.column() - 1 + head.length();
                return line.substring(0, from)
                        + value
                        + line.substring(chunk.column() - 1 + chunk.text().length());
            }
        }
        int end = endOf(read, line);
        return line.substring(0, end) + "  " + value + line.substring(end);
    }

    private static int endOf(SheetLine read, String line) {
        if (read.chunks().isEmpty()) {
            return line.length();
        }
        SheetLine.Chunk last = read.chunks().get(read.chunks().size() - 1);
        return last.column() - 1 + last.text().length();
    }

    /** The sheet's header line for {@code key}, from 1; 0 when there is none. */
    public static int headerLine(String text, String key) {
        String wanted = key + ":";
        int number = 1;
        int start = 0;
        while (start <= text.length()) {
            if (text.regionMatches(true, start, wanted, 0, wanted.length())) {
                return number;
            }
            int end = text.indexOf('\n', start);
            if (end < 0) {
                return 0;
            }
            start = end + 1;
            number++;
        }
        return 0;
    }

    /** The edit that sets header {@code key} to {@code value}: its line is rewritten, or comes behind the other headers. */
    public static SheetEdit header(String text, String key, String value) {
        int at = headerLine(text, key);
        String written = key + ": " + value;
        if (at > 0) {
            return SheetEdit.replace(key + " → " + value, at, written);
        }
        int behind = 0;
        for (String word : HeaderReader.WORDS) {
            behind = Math.max(behind, headerLine(text, word));
        }
        return SheetEdit.insert(key + " → " + value, behind + 1, List.of(written));
    }
}
