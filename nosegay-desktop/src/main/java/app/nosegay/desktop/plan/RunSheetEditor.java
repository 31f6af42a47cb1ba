package app.nosegay.desktop.plan;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.Libraries;
import app.nosegay.plan.edit.NotesReader;
import app.nosegay.plan.edit.SheetOrder;
import app.nosegay.plan.sheet.Problem;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.terms.BlockKind;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.AccessibleRole;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.fxmisc.richtext.CodeArea;
import org.fxmisc.richtext.model.StyleSpans;
import org.fxmisc.richtext.util.UndoUtils;

/** The run sheet as text: coloured by what each word is, errors underlined in place. Undo is the window's, not the editor's. */
public final class RunSheetEditor extends CodeArea {
    private static final Pattern NUMBER = Pattern.compile("\\d+(:\\d{2})?");

    private final transient Session session;
    private final transient CompletionPopup completion;
    private boolean showing;
    private transient RunSheet sheet;
    private List<Problem> problems = List.of();

    RunSheetEditor(Session session) {
        this.session = session;
        // The editor brings a style sheet of its own, with a typewriter face: ours is used instead.
        getStylesheets().clear();
        getStyleClass().setAll("run-sheet");
        setWrapText(true);
        setId("run-sheet");
        setAccessibleRole(AccessibleRole.TEXT_AREA);
        setAccessibleText(DesktopText.of("plan.run-sheet-editor.run-sheet"));
        setParagraphGraphicFactory(new Gutter(this, session)::graphic);
        completion = new CompletionPopup(this);
        setUndoManager(UndoUtils.noOpUndoManager());
        // What is typed is the workout's own text, whatever becomes of the computing.
        session.current().addListener((o, before, now) -> write(now.sheet()));
        write(session.workout().sheet());
        textProperty().addListener((o, before, now) -> {
            if (!showing) {
                session.type(now, getCurrentParagraph());
                completion.typed();
            }
        });
        multiPlainChanges().successionEnds(Duration.ofMillis(40)).subscribe(c -> colour());
        addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        // Alt with a letter is a key of ours, never a letter.
        addEventFilter(KeyEvent.KEY_TYPED, e -> {
            if (e.isAltDown() && !e.isControlDown()) {
                e.consume();
            }
        });
    }

    private void key(KeyEvent e) {
        if (completion.takes(e)) {
            e.consume();
        } else if (e.isShortcutDown() && e.getCode() == KeyCode.SPACE) {
            completion.ask();
            e.consume();
        } else if (e.isAltDown() && e.isShiftDown() && (e.getCode() == KeyCode.UP || e.getCode() == KeyCode.DOWN)) {
            moveLines(e.getCode() == KeyCode.UP);
            e.consume();
        } else if (e.isAltDown() && e.getCode() == KeyCode.F) {
            fold(e.isShiftDown());
            e.consume();
        } else if (e.isShortcutDown() && e.getCode() == KeyCode.Z) {
            if (e.isShiftDown()) {
                session.redo();
            } else {
                session.undo();
            }
            e.consume();
        } else if (e.isShortcutDown() && e.getCode() == KeyCode.PERIOD) {
            problems.stream()
                    .filter(p -> p.line() == getCurrentParagraph() + 1 && p.nearest() != null)
                    .findFirst()
                    .ifPresent(this::fix);
            e.consume();
        } else if (e.isAltDown() && (e.getCode() == KeyCode.UP || e.getCode() == KeyCode.DOWN)) {
            step(e.getCode() == KeyCode.UP ? 1 : -1);
            e.consume();
        } else if (e.getCode() == KeyCode.ENTER && !e.isShortcutDown()) {
            String line = getParagraph(getCurrentParagraph()).getText();
            String indent = line.replaceAll("\\S.*$", "");
            insertText(getCaretPosition(), "\n" + (SheetLooks.opensBlock(line) ? "  " : indent));
            e.consume();
        }
    }

    /** The number under the cursor up or down: durations by five seconds, counts by one. */
    private void step(int direction) {
        int paragraph = getCurrentParagraph();
        int column = getCaretColumn();
        Matcher m = NUMBER.matcher(getParagraph(paragraph).getText());
        while (m.find()) {
            if (m.start() <= column && column <= m.end()) {
                String now = m.group();
                String next;
                if (now.contains(":")) {
                    int seconds = Integer.parseInt(now.split(":")[0]) * 60
                            + Integer.parseInt(now.split(":")[1])
                            + 5 * direction;
                    next = Math.max(0, seconds) / 60 + ":" + String.format("%02d", Math.max(0, seconds) % 60);
                } else {
                    next = "" + Math.max(1, Integer.parseInt(now) + direction);
                }
                replaceText(paragraph, m.start(), paragraph, m.end(), next);
                moveTo(paragraph, Math.min(m.start() + next.length(), column));
                return;
            }
        }
    }

    /** Moves the block or move at the cursor, with all that belongs to it, one place up or down. */
    private void moveLines(boolean up) {
        if (sheet == null || !sheet.text().equals(session.workout().sheet())) {
            return;
        }
        SheetOrder order = new SheetOrder(sheet);
        int line = getCurrentParagraph() + 1;
        order.moved(line, up).ifPresent(edit -> {
            int after = order.lineAfter(line, up);
            int column = getCaretColumn();
            session.edit(edit);
            write(session.workout().sheet());
            int paragraph = Math.max(0, Math.min(getParagraphs().size(), after) - 1);
            moveTo(paragraph, Math.min(column, getParagraphLength(paragraph)));
            requestFollowCaret();
        });
    }

    /** Folds the block at the cursor, or unfolds it; all blocks when {@code all}. */
    void fold(boolean all) {
        if (sheet == null) {
            return;
        }
        List<SheetOrder.Range> blocks = new SheetOrder(sheet).blocks();
        int line = getCurrentParagraph() + 1;
        for (SheetOrder.Range block : blocks) {
            if (all || block.contains(line)) {
                toggle(block);
            }
        }
    }

    /** Folds or unfolds the block whose head is at {@code line}, from 1. */
    void foldAt(int line) {
        if (sheet != null) {
            new SheetOrder(sheet)
                    .blocks().stream().filter(b -> b.from() == line).findFirst().ifPresent(this::toggle);
        }
    }

    private void toggle(SheetOrder.Range block) {
        int first = block.from() - 1;
        int last = Math.min(getParagraphs().size(), block.to() - 1) - 1;
        while (last > first && getParagraph(last).getText().isBlank()) {
            last--;
        }
        if (last <= first) {
            return;
        }
        if (first + 1 < getParagraphs().size() && isFolded(first + 1)) {
            unfoldParagraphs(first);
        } else {
            moveTo(first, getParagraphLength(first));
            foldParagraphs(first, last);
        }
    }

    /** Whether a block begins at {@code line}, from 1. */
    boolean isBlockHead(int line) {
        return sheet != null && sheet.blocks().stream().anyMatch(b -> b.line() == line);
    }

    RunSheet sheet() {
        return sheet;
    }

    /** Pasted notes become run-sheet lines; notation is pasted as it is. */
    @Override
    public void paste() {
        String clip = Clipboard.getSystemClipboard().getString();
        NotesReader notes = new NotesReader(Libraries.current());
        if (clip == null || !notes.isNotes(clip)) {
            super.paste();
            return;
        }
        int paragraph = getCurrentParagraph();
        boolean inBlock = sheet != null
                && sheet.blocks().stream()
                        .anyMatch(b ->
                                b.line() <= paragraph + 1 && b.kind() != BlockKind.TALK && b.kind() != BlockKind.REST);
        String lines = notes.read(clip, inBlock);
        boolean onEmpty = getParagraphLength(paragraph) == 0;
        replaceSelection(onEmpty ? lines.replaceFirst("^\n", "") : "\n" + lines);
        session.jobs().say("");
    }

    /** Shows a sheet that was just read: its text where it differs (undo, open), its problems in place. */
    void show(RunSheet read) {
        sheet = read;
        problems = read.problems();
        write(session.workout().sheet());
        colour();
    }

    /** Puts {@code wanted} in place of the text where it differs, in as few lines as can be, so that cursor and folds stay. */
    private void write(String wanted) {
        String text = wanted.replace("\r\n", "\n");
        if (getText().equals(text)) {
            return;
        }
        showing = true;
        String now = getText();
        int same = 0;
        int most = Math.min(now.length(), text.length());
        while (same < most && now.charAt(same) == text.charAt(same)) {
            same++;
        }
        int tail = 0;
        while (tail < most - same && now.charAt(now.length() - 1 - tail) == text.charAt(text.length() - 1 - tail)) {
            tail++;
        }
        int caret = getCaretPosition();
        replaceText(same, now.length() - tail, text.substring(same, text.length() - tail));
        moveTo(Math.min(caret, getLength()));
        if (caret == 0) {
            showParagraphAtTop(0);
        }
        showing = false;
    }

    /** Moves the cursor to a line, from 1, without taking the keyboard. */
    void showLine(int line) {
        int paragraph = Math.max(0, Math.min(getParagraphs().size(), line) - 1);
        if (paragraph != getCurrentParagraph()) {
            moveTo(paragraph, 0);
            requestFollowCaret();
        }
    }

    /** Moves the cursor to a line, from 1, and shows it. */
    void goToLine(int line) {
        int paragraph = Math.max(0, Math.min(getParagraphs().size(), line) - 1);
        moveTo(paragraph, 0);
        requestFollowCaret();
        selectLine();
        requestFocus();
    }

    /** Writes the nearest known word in place of the one that could not be read. */
    void fix(Problem p) {
        int paragraph = p.line() - 1;
        if (paragraph < getParagraphs().size()) {
            String text = getParagraph(paragraph).getText();
            int at = text.toLowerCase(Locale.ROOT)
                    .indexOf(p.found().toLowerCase(Locale.ROOT), Math.max(0, p.column() - 2));
            at = at < 0 ? text.indexOf(p.found()) : at;
            if (at >= 0 && !p.found().isEmpty()) {
                replaceText(paragraph, at, paragraph, at + p.found().length(), p.nearest());
            }
        }
    }

    /** Styles the lines whose looks differ from what they should be; in a long sheet those are few. */
    private void colour() {
        Map<Integer, List<Problem>> byLine = new HashMap<>();
        problems.stream().filter(p -> !p.note()).forEach(p -> byLine.computeIfAbsent(p.line(), k -> new ArrayList<>())
                .add(p));
        int n = getParagraphs().size();
        for (int i = 0; i < n; i++) {
            String line = getParagraph(i).getText();
            if (line.isEmpty()) {
                continue;
            }
            List<Problem> here = byLine.getOrDefault(i + 1, List.of());
            StyleSpans<Collection<String>> wanted = SheetLooks.of(line, here);
            if (!getParagraph(i).getStyleSpans().equals(wanted)) {
                setStyleSpans(i, 0, wanted);
            }
        }
    }
}
