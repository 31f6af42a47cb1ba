package app.nosegay.desktop.library;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.MovePicture;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.StageView;
import app.nosegay.jobs.Libraries;
import app.nosegay.library.Move;
import java.io.File;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.image.ImageView;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.stage.Stage;

/** All moves, by pattern, with search; own moves are added and changed on a sheet of their own and kept apart from the shipped ones. */
public final class LibraryScreen implements StageView {
    private static final int FIGURE = 58;

    private final Session session;
    private final Stage stage;
    private final TextField search = new TextField();
    private final FlowPane drawers = new FlowPane(6, 4);
    private final ListView<Move> moves = new ListView<>();
    private final Label count = new Label();
    private final MoveSheet sheet;
    private final BorderPane view = new BorderPane();
    private String pattern = "";
    private Set<String> own = Set.of();

    /**
     * @param toPlan puts a move into the open plan
     */
    public LibraryScreen(Session session, Stage stage, Consumer<Move> toPlan) {
        this.session = session;
        this.stage = stage;
        sheet = new MoveSheet(this::keep, this::forget);
        search.setId("move-search");
        search.setPromptText(DesktopText.of("library.library-screen.search-moves-muscles-gear"));
        search.setAccessibleText(DesktopText.of("library.library-screen.search-moves"));
        search.textProperty().addListener((o, was, is) -> refresh());
        moves.setId("moves");
        moves.setAccessibleText(DesktopText.of("library.library-screen.moves-list"));
        moves.setCellFactory(l -> new MoveCell());
        moves.getSelectionModel().selectedItemProperty().addListener((o, was, is) -> {
            if (is != null) {
                sheet.show(is, own.contains(is.name()));
            }
        });
        Label none = new Label(DesktopText.of("library.library-screen.no-move-is-called-that"));
        none.getStyleClass().add("empty");
        moves.setPlaceholder(none);
        count.getStyleClass().add("small");
        Button fresh = Buttons.quiet(DesktopText.of("library.library-screen.new-move"), "move-new", this::fresh);
        Button in = Buttons.quiet(DesktopText.of("library.library-screen.bring-in"), "moves-in", this::bringIn);
        Button out =
                Buttons.quiet(DesktopText.of("library.library-screen.hand-out-my-moves"), "moves-out", this::handOut);
        in.setTooltip(new Tooltip(DesktopText.of("library.library-screen.adds-the-moves-of-a")));
        out.setTooltip(new Tooltip(DesktopText.of("library.library-screen.writes-your-own-moves-to")));
        Button add = Buttons.act(DesktopText.of("library.library-screen.to-plan"), () -> {
            Move chosen = moves.getSelectionModel().getSelectedItem();
            if (chosen != null) {
                toPlan.accept(chosen);
            }
        });
        add.setId("move-to-plan");
        add.disableProperty()
                .bind(moves.getSelectionModel().selectedItemProperty().isNull());
        HBox acts = new HBox(4, fresh, in, out);
        VBox.setVgrow(moves, Priority.ALWAYS);
        VBox left = new VBox(8, search, drawers, count, moves, add, acts);
        left.getStyleClass().add("stage");
        left.setMinWidth(400);
        left.setMaxWidth(400);
        view.setLeft(left);
        view.setCenter(sheet.view());
        drawers();
        refresh();
    }

    @Override
    public Region view() {
        return view;
    }

    @Override
    public void entered() {
        refresh();
    }

    private void drawers() {
        List<String> patterns = Libraries.current().moves().stream()
                .map(Move::pattern)
                .distinct()
                .sorted()
                .collect(Collectors.toCollection(ArrayList::new));
        patterns.add(0, "");
        for (String p : patterns) {
            Button drawer = new Button(p.isEmpty() ? DesktopText.of("library.library-screen.all") : p);
            drawer.getStyleClass().add("chip");
            drawer.setOnAction(e -> {
                pattern = p;
                refresh();
            });
            drawer.setUserData(p);
            drawers.getChildren().add(drawer);
        }
    }

    private void refresh() {
        try {
            own = Libraries.own().stream().map(Move::name).collect(Collectors.toSet());
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
        }
        List<Move> found = Libraries.current().search(search.getText()).stream()
                .filter(m -> pattern.isEmpty() || m.pattern().equals(pattern))
                .collect(Collectors.toCollection(ArrayList::new));
        if (search.getText().isBlank()) {
            found.sort(Comparator.comparing(Move::pattern).thenComparing(Move::name));
        }
        drawers.getChildren().forEach(d -> {
            d.getStyleClass().remove("chosen");
            if (d.getUserData().equals(pattern)) {
                d.getStyleClass().add("chosen");
            }
        });
        Move before = moves.getSelectionModel().getSelectedItem();
        moves.getItems().setAll(found);
        count.setText(found.size()
                + (found.size() == 1
                        ? DesktopText.of("library.library-screen.move")
                        : DesktopText.of("library.library-screen.moves"))
                + (own.isEmpty() ? "" : DesktopText.of("library.library-screen.of-your-own", own.size())));
        Move same = before == null
                ? null
                : found.stream()
                        .filter(m -> m.name().equals(before.name()))
                        .findFirst()
                        .orElse(null);
        if (!found.isEmpty()) {
            moves.getSelectionModel().select(same == null ? found.get(0) : same);
        }
    }

    private void keep(Move move) {
        change(move, before -> Libraries.replaced(before, List.of(move)));
    }

    private void forget(Move move) {
        change(move, before -> before.stream()
                .filter(m -> !m.name().equals(move.name()))
                .toList());
    }

    private void change(Move move, UnaryOperator<List<Move>> step) {
        try {
            Libraries.change(step);
            changed(move.name());
        } catch (IOException e) {
            session.jobs().say(DesktopText.of("library.library-screen.your-moves-could-not-be", e.getMessage()));
        }
    }

    private void changed(String name) {
        refresh();
        moves.getItems().stream().filter(m -> m.name().equals(name)).findFirst().ifPresent(m -> {
            moves.getSelectionModel().select(m);
            moves.scrollTo(m);
            sheet.show(m, own.contains(m.name()));
        });
        session.libraryChanged();
    }

    private void fresh() {
        sheet.fresh(search.getText().strip().toLowerCase(Locale.ROOT), pattern);
    }

    private void bringIn() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(DesktopText.of("library.library-screen.bring-in-moves"));
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter(DesktopText.of("library.library-screen.moves-2"), "*.json"));
        File file = chooser.showOpenDialog(stage);
        if (file != null) {
            try {
                int n = Libraries.bringIn(file.toPath());
                session.jobs().say("");
                count.setText(DesktopText.of("library.library-screen.moves-brought-in", n));
                changed("");
            } catch (IOException e) {
                session.jobs().say(e.getMessage());
            }
        }
    }

    private void handOut() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(DesktopText.of("library.library-screen.hand-out-my-moves-2"));
        chooser.setInitialFileName("my-moves.json");
        File file = chooser.showSaveDialog(stage);
        if (file != null) {
            try {
                Libraries.write(file.toPath(), Libraries.own());
            } catch (IOException e) {
                session.jobs()
                        .say(DesktopText.of(
                                "library.library-screen.cannot-be-written", file.getName(), e.getMessage()));
            }
        }
    }

    /** A move with its figure. */
    private final class MoveCell extends ListCell<Move> {
        private final ImageView figure = new ImageView();
        private final Label name = new Label();
        private final Label about = new Label();
        private final HBox row;

        MoveCell() {
            about.getStyleClass().add("small");
            about.setMinWidth(0);
            VBox words = new VBox(0, name, about);
            words.setAlignment(Pos.CENTER_LEFT);
            words.setMinWidth(0);
            row = new HBox(10, figure, words);
            row.setAlignment(Pos.CENTER_LEFT);
            prefWidthProperty().bind(moves.widthProperty().subtract(20));
            setMaxWidth(USE_PREF_SIZE);
        }

        @Override
        protected void updateItem(Move m, boolean none) {
            super.updateItem(m, none);
            setText(null);
            setGraphic(none || m == null ? null : row);
            if (m != null && !none) {
                figure.setImage(MovePicture.of(m, FIGURE));
                name.setText(m.name() + (own.contains(m.name()) ? DesktopText.of("library.library-screen.mine") : ""));
                about.setText(m.pattern() + " · "
                        + m.primary().stream()
                                .map(g -> g.word().replace('-', ' '))
                                .collect(Collectors.joining(", "))
                        + (m.gear().isEmpty() ? "" : " · " + String.join(", ", m.gear())));
                setAccessibleText(m.name() + ", " + about.getText());
            }
        }
    }
}
