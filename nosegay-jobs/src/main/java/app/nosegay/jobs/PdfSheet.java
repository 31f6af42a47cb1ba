package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import app.nosegay.paint.Palette;
import app.nosegay.paint.Typefaces;
import java.awt.Color;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** A printed sheet that is written from top to bottom: headings, text, rows; new pages by themselves. Sizes and places in points. */
final class PdfSheet implements AutoCloseable {
    private static final String JOINING = "(?<=[fFtT])(?=[a-z])";
    private static final float MARGIN = 48;
    private static final PDRectangle PAGE = PDRectangle.A4;

    private final PDDocument document = new PDDocument();
    private final PDType0Font heading;
    private final PDType0Font text;
    private final PDType0Font strong;
    private final String footer;
    private PDPageContentStream out;
    private float y;

    PdfSheet(String title, String footer) throws IOException {
        this.footer = footer;
        heading = font(0);
        text = font(1);
        strong = font(2);
        document.getDocumentInformation().setTitle(title);
        document.getDocumentInformation().setCreator(JobText.of("pdf-sheet.nosegay"));
        newPage();
    }

    private PDType0Font font(int index) throws IOException {
        try (InputStream in = Typefaces.class.getResourceAsStream(Typefaces.FILES.get(index))) {
            return PDType0Font.load(document, in);
        }
    }

    boolean isAtTop() {
        return y >= PAGE.getHeight() - MARGIN - 1;
    }

    void newPage() throws IOException {
        if (out != null) {
            out.close();
        }
        PDPage page = new PDPage(PAGE);
        document.addPage(page);
        out = new PDPageContentStream(document, page);
        y = PAGE.getHeight() - MARGIN;
        put(text, 9, Palette.FADED_INK, MARGIN, 26, footer + "  ·  " + document.getNumberOfPages());
    }

    void heading(String words, float size) throws IOException {
        need(size * 2.2f);
        y -= size;
        put(heading, size, Palette.INK, MARGIN, y, words);
        y -= size * 0.55f;
    }

    void paragraph(String words, float size, Color colour, boolean bold) throws IOException {
        indented(words, size, colour, bold, 0);
    }

    void indented(String words, float size, Color colour, boolean bold, float indent) throws IOException {
        PDType0Font font = bold ? strong : text;
        for (String line : wrapped(words, font, size, PAGE.getWidth() - 2 * MARGIN - indent)) {
            need(size * 1.35f);
            y -= size * 1.05f;
            put(font, size, colour, MARGIN + indent, y, line);
            y -= size * 0.3f;
        }
    }

    /** Cells at the given places from the left margin; the last one wraps. */
    void row(float size, boolean bold, float[] places, String... cells) throws IOException {
        PDType0Font font = bold ? strong : text;
        float last = places[cells.length - 1];
        List<String> lines = wrapped(cells[cells.length - 1], font, size, PAGE.getWidth() - 2 * MARGIN - last);
        need(size * 1.4f * lines.size());
        for (int i = 0; i < lines.size(); i++) {
            y -= size * 1.05f;
            for (int c = 0; c + 1 < cells.length && i == 0; c++) {
                put(font, size, Palette.INK, MARGIN + places[c], y, cells[c]);
            }
            put(font, size, Palette.INK, MARGIN + last, y, lines.get(i));
            y -= size * 0.35f;
        }
    }

    void rule() throws IOException {
        need(10);
        y -= 4;
        out.setStrokingColor(Palette.RULE);
        out.moveTo(MARGIN, y);
        out.lineTo(PAGE.getWidth() - MARGIN, y);
        out.stroke();
        y -= 6;
    }

    void space(float points) {
        y -= points;
    }

    private void need(float points) throws IOException {
        if (y - points < MARGIN) {
            newPage();
        }
    }

    private void put(PDType0Font font, float size, Color colour, float x, float at, String words) throws IOException {
        out.beginText();
        out.setFont(font, size);
        out.setNonStrokingColor(colour);
        out.newLineAtOffset(x, at);
        // Ligatures would be lost to whoever searches or copies the text: letters that join are shown apart.
        for (String piece : shown(font, words).split(JOINING)) {
            out.showText(piece);
        }
        out.endText();
    }

    /** What the font cannot show becomes a question mark rather than an error. */
    private static String shown(PDType0Font font, String words) throws IOException {
        StringBuilder can = new StringBuilder();
        for (int i = 0; i < words.length(); i += Character.charCount(words.codePointAt(i))) {
            String c = new String(Character.toChars(words.codePointAt(i)));
            try {
                font.encode(c);
                can.append(Character.isISOControl(words.codePointAt(i)) ? " " : c);
            } catch (IllegalArgumentException e) {
                can.append('?');
            }
        }
        return can.toString();
    }

    private static List<String> wrapped(String words, PDType0Font font, float size, float width) throws IOException {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : words.strip().split("\\s+")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && font.getStringWidth(shown(font, longer)) / 1000 * size > width) {
                lines.add(line.toString());
                line.setLength(0);
                line.append(word);
            } else {
                line.setLength(0);
                line.append(longer);
            }
        }
        lines.add(line.toString());
        return lines;
    }

    /** Writes the sheet to {@code target}: complete or not at all. */
    void save(Path target) throws IOException {
        out.close();
        out = null;
        Path folder = target.toAbsolutePath().getParent();
        Files.createDirectories(folder);
        AtomicFile.write(target, document::save);
    }

    @Override
    public void close() throws IOException {
        if (out != null) {
            out.close();
        }
        document.close();
    }
}
