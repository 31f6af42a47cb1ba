package app.nosegay.desktop.controls;

import app.nosegay.library.Move;
import app.nosegay.plan.terms.Side;
import java.util.List;
import java.util.Objects;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.beans.InvalidationListener;
import javafx.beans.WeakInvalidationListener;
import javafx.scene.image.ImageView;
import javafx.util.Duration;

/** A figure that moves at its usual tempo while it can be seen. */
public final class MovingFigure {
    private static final Duration EVERY = Duration.millis(80);
    private static final int PHASES = 12;

    private final int size;
    private final ImageView view = new ImageView();
    private final Timeline clock = new Timeline(new KeyFrame(EVERY, e -> step()));
    /** Held by the figure alone: figures come and go, the wish stays. */
    private final InvalidationListener stilled = o -> run();

    private Move move;
    private Side side = Side.BOTH;
    private long begun;

    /** @param size of the square it stands in, in pixels */
    public MovingFigure(int size) {
        this.size = size;
        view.setFitWidth(size);
        view.setFitHeight(size);
        clock.setCycleCount(Animation.INDEFINITE);
        view.sceneProperty().addListener((o, was, is) -> run());
        Stillness.wanted().addListener(new WeakInvalidationListener(stilled));
    }

    public ImageView view() {
        return view;
    }

    public void show(Move next) {
        show(next, Side.BOTH);
    }

    /** Shows a move done with a side; nothing for a null. What is shown already goes on. */
    public void show(Move next, Side with) {
        if (Objects.equals(next, move) && with == side) {
            return;
        }
        move = next;
        side = with;
        begun = System.nanoTime();
        view.setImage(next == null ? null : MovePicture.of(next, size, with));
        run();
    }

    private void run() {
        if (move != null && view.getScene() != null && !Stillness.wanted().get()) {
            clock.play();
        } else {
            clock.stop();
        }
    }

    /** Out over the first phase, held, back over the return, held. */
    private void step() {
        List<Double> tempo = move.tempo().seconds();
        double at = (System.nanoTime() - begun)
                / 1e9
                % Math.max(1, move.tempo().repLength().seconds());
        double out = Math.max(0.05, tempo.get(0));
        double back = Math.max(0.05, tempo.get(2));
        double phase;
        if (at < out) {
            phase = 0.5 - 0.5 * Math.cos(Math.PI * at / out);
        } else {
            double then = at - out - tempo.get(1);
            phase = then <= 0 ? 1 : then < back ? 0.5 + 0.5 * Math.cos(Math.PI * then / back) : 0;
        }
        view.setImage(MovePicture.of(move, size, Math.round(phase * PHASES) / (double) PHASES, side));
    }
}
