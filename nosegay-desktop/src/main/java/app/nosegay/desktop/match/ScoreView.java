package app.nosegay.desktop.match;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListView;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.image.Image;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * The Score: a line per interval, all on one scale, in one of several orders; lines are cached pictures, boundaries are dragged in
 * place.
 */
public final class ScoreView {
    /** One line that lasts far longer than planned does not make all others small: it folds. */
    private static final double MOST_STRETCH = 1.5;
    /** A boundary the user put somewhere. */
    public interface Moved {
        void to(Match.Placed placed, boolean end, Time<Axis.Take> time);
    }

    private final ListView<ScoreRow> list = new ListView<>();
    private final ComboBox<String> order = new ComboBox<>();
    private final Set<ScoreCell> cells = new HashSet<>();
    private final ScoreImages images = new ScoreImages(this::painted);
    private final Set<String> open = new HashSet<>();
    private final Moved moved;
    private final BiConsumer<ScoreLine, Time<Axis.Take>> play;
    private final Consumer<String> tell;
    private final ScoreScale scale = new ScoreScale();
    private final ScoreLegend legend = new ScoreLegend();
    private final ToggleButton compare = new ToggleButton(DesktopText.of("match.score-view.compare"));
    private final ToggleButton explain = new ToggleButton(DesktopText.of("match.score-view.legend"));
    private final ScoreMap map;
    private final LinePictures pictures;
    private final VBox view;
    /** Rests shown in full though nothing is wrong with them. */
    private final Set<String> unfolded = new HashSet<>();

    private Set<String> troubled = Set.of();
    private ScorePainter painter = new ScorePainter(700, 40, l -> false, l -> Optional.empty());
    private List<ScoreLine> lines = List.of();
    private Programme programme;

    /**
     * @param selected told the line that is selected, null when none is
     * @param moved told where a boundary was dragged to
     * @param play told which moment of which line was clicked
     * @param tell says something of what is being dragged
     * @param pictures what can be seen in the lines
     */
    public ScoreView(
            Consumer<ScoreLine> selected,
            Moved moved,
            BiConsumer<ScoreLine, Time<Axis.Take>> play,
            Consumer<String> tell,
            LinePictures pictures) {
        this.pictures = pictures;
        this.moved = moved;
        this.play = play;
        this.tell = tell;
        list.getStyleClass().add("score-list");
        list.setId("score");
        list.setAccessibleText(DesktopText.of("match.score-view.score-one-line-per-interval"));
        list.setCellFactory(l -> {
            ScoreCell cell = new ScoreCell(this, pictures);
            cells.add(cell);
            return cell;
        });
        list.widthProperty().addListener((o, before, now) -> repaint());
        Lamplight.follow(list, this::repaint);
        list.getSelectionModel().selectedItemProperty().addListener((o, before, now) -> selected.accept(line(now)));
        order.getItems().setAll(ScoreLine.ORDERS);
        order.getSelectionModel().select(0);
        order.setMinWidth(118);
        order.setId("score-order");
        order.setAccessibleText(DesktopText.of("match.score-view.order-of-the-score"));
        order.setOnAction(e -> show(programme));
        compare.setId("score-compare");
        compare.getStyleClass().add("quiet");
        compare.setMinWidth(Region.USE_PREF_SIZE);
        compare.setTooltip(new Tooltip(DesktopText.of("match.score-view.compare-tip")));
        compare.setOnAction(e -> repaint());
        map = new ScoreMap(this::jump);
        list.getSelectionModel().selectedIndexProperty().addListener((o, before, now) -> map.select(now.intValue()));
        explain.setId("score-explain");
        explain.getStyleClass().add("quiet");
        legend.visibleProperty().bind(explain.selectedProperty());
        legend.managedProperty().bind(explain.selectedProperty());
        StackPane head = new StackPane(scale, explain);
        head.setAlignment(Pos.BOTTOM_LEFT);
        HBox body = new HBox(list, map);
        HBox.setHgrow(list, Priority.ALWAYS);
        VBox.setVgrow(body, Priority.ALWAYS);
        view = new VBox(2, legend, head, body);
    }

    /** The lines below their scale, with a map of them all beside them. */
    Region view() {
        return view;
    }

    private void jump(int row) {
        list.getSelectionModel().select(row);
        list.scrollTo(Math.max(0, row - 2));
    }

    /** Shows where the take plays; null takes the mark away. */
    void playhead(ScoreLine line, Time<Axis.Take> time) {
        cells.forEach(c -> c.playhead(c.getItem() == line ? time : null));
    }

    ToggleButton compare() {
        return compare;
    }

    /** The first other round or set of the same move and side that was recorded; none while rounds are not compared. */
    private Optional<ScoreLine> compared(ScoreLine line) {
        return compare.isSelected() ? line.otherRound(lines) : Optional.empty();
    }

    private boolean isThin(ScoreLine line) {
        return !order.getValue().equals(ScoreLine.ALL_RESTS)
                && line.isPlainRest(troubled)
                && !unfolded.contains(line.key());
    }

    public ListView<ScoreRow> list() {
        return list;
    }

    ComboBox<String> order() {
        return order;
    }

    /** The lines in the order shown, those of folded blocks too. */
    List<ScoreLine> lines() {
        return lines;
    }

    public void show(Programme now) {
        programme = now;
        int selected = list.getSelectionModel().getSelectedIndex();
        lines = ScoreLine.of(now, order.getValue());
        pictures.forget();
        troubled = now.matchFindings().stream()
                .filter(f -> f.segment() != null)
                .map(Finding::segment)
                .collect(Collectors.toSet());
        measure();
        list.getItems()
                .setAll(order.getValue().equals(ScoreLine.BY_BLOCK) ? ScoreFold.fold(lines, open) : List.copyOf(lines));
        map.show(list.getItems(), troubled);
        if (selected >= 0) {
            list.getSelectionModel().select(Math.min(selected, list.getItems().size() - 1));
        }
    }

    static ScoreLine line(ScoreRow row) {
        return row instanceof ScoreLine line ? line : null;
    }

    /** The selected line; null when none is, or when a block is. */
    ScoreLine selected() {
        return line(list.getSelectionModel().getSelectedItem());
    }

    void select(ScoreLine line) {
        int at = list.getItems().indexOf(line);
        if (at < 0) {
            list.getItems().stream()
                    .filter(r -> r instanceof ScoreFold f && f.lines().contains(line))
                    .findFirst()
                    .ifPresent(r -> turn((ScoreFold) r));
            at = list.getItems().indexOf(line);
        }
        if (at >= 0) {
            list.getSelectionModel().select(at);
            list.scrollTo(Math.max(0, at - 2));
        }
    }

    /** The line a planned segment lies in. */
    Optional<ScoreLine> lineOf(String segment) {
        return lines.stream()
                .filter(l -> l.placed().stream().anyMatch(p -> p.id().equals(segment)))
                .findFirst();
    }

    void step(int by) {
        int next = list.getSelectionModel().getSelectedIndex() + by;
        if (next >= 0 && next < list.getItems().size()) {
            list.getSelectionModel().select(next);
            list.scrollTo(Math.max(0, next - 2));
        }
    }

    /** Shows a rest in full, or as a thin line again. */
    void unfold(ScoreLine line) {
        if (!unfolded.remove(line.key())) {
            unfolded.add(line.key());
        }
        show(programme);
    }

    /** Unfolds the selected rest; folds or opens the block of the selected row otherwise; shows the Score by block first when it is not. */
    void fold() {
        ScoreRow row = list.getSelectionModel().getSelectedItem();
        if (row instanceof ScoreLine line && line.isPlainRest(troubled)) {
            unfold(line);
            return;
        }
        if (!order.getValue().equals(ScoreLine.BY_BLOCK)) {
            order.getSelectionModel().select(ScoreLine.BY_BLOCK);
            return;
        }
        list.getItems().stream()
                .filter(r -> r == row || r instanceof ScoreFold f && f.lines().contains(row))
                .filter(ScoreFold.class::isInstance)
                .findFirst()
                .ifPresent(r -> turn((ScoreFold) r));
    }

    void turn(ScoreFold fold) {
        if (!open.remove(fold.block())) {
            open.add(fold.block());
        }
        show(programme);
        for (int i = 0; i < list.getItems().size(); i++) {
            if (list.getItems().get(i) instanceof ScoreFold f && f.block().equals(fold.block())) {
                list.getSelectionModel().select(i);
            }
        }
    }

    private void measure() {
        double longest = lines.stream()
                .filter(l -> !l.isUnplanned() && l.interval().kind() == SegmentKind.WORK)
                .mapToDouble(l -> Math.max(
                        l.planned().seconds(),
                        l.isMissing()
                                ? 0
                                : Math.min(
                                        l.recorded().length().seconds(),
                                        MOST_STRETCH * l.planned().seconds())))
                .max()
                .orElse(40);
        double width = list.getWidth() > 100 ? list.getWidth() : 620;
        painter = new ScorePainter((int) width - 30, longest, this::isThin, this::compared);
        images.paintedBy(painter);
        scale.show(painter.grid());
    }

    ScorePainter painter() {
        return painter;
    }

    ScoreImages images() {
        return images;
    }

    void moved(Match.Placed placed, boolean end, Time<Axis.Take> to) {
        moved.to(placed, end, to);
    }

    void play(ScoreLine line, Time<Axis.Take> from) {
        play.accept(line, from);
    }

    void tell(String words) {
        tell.accept(words);
    }

    String spoken(Match.Placed placed) {
        return programme.timeline().spoken(placed.id());
    }

    private void painted(ScoreRow row, Image image) {
        cells.stream().filter(c -> c.getItem() == row).forEach(c -> c.picture(image));
    }

    private void repaint() {
        measure();
        list.refresh();
    }
}
