package app.nosegay.desktop.proof;

import app.nosegay.captions.Caption;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.desktop.controls.SoundSilhouette;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.TakeEvidence.Beep;
import app.nosegay.evidence.Trace;
import app.nosegay.plan.Finding.Moment;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.Text;

/** The seconds around a moment of a take: how loud it is, what is said, the timer's signals, where it is and where it was due. */
final class MomentPicture {
    static final double WIDTH = 404;
    static final double HEIGHT = 96;
    private static final double SOUND_TOP = 18;
    private static final double SOUND_END = 58;
    /** What is shown before the first of the two instants and behind the last, in seconds. */
    private static final double AROUND = 3;
    /** A longer moment shows its start, in seconds. */
    private static final double MOST = 24;

    private static final Font SMALL = Font.font("Source Sans 3", 13);

    private final GraphicsContext g;
    private final double from;
    private final double scale;

    private MomentPicture(Canvas canvas, Moment moment) {
        g = canvas.getGraphicsContext2D();
        double start = moment.span().start().seconds();
        double end = moment.span().end().seconds();
        double first =
                moment.due() == null ? start : Math.min(start, moment.due().seconds());
        double last = moment.due() == null ? end : Math.max(end, moment.due().seconds());
        from = Math.max(Math.max(0, first - AROUND), start - MOST / 2);
        scale = WIDTH / (Math.min(last + AROUND, from + MOST) - from);
    }

    static void paint(Canvas canvas, Moment moment, TakeEvidence take) {
        MomentPicture picture = new MomentPicture(canvas, moment);
        picture.g.clearRect(0, 0, WIDTH, HEIGHT);
        picture.place(moment);
        picture.sound(take.loudness());
        picture.signals(take);
        picture.words(take);
        picture.due(moment);
    }

    private double x(Time<Axis.Take> time) {
        return (time.seconds() - from) * scale;
    }

    /** Where it is: a band, or a line where it is an instant. */
    private void place(Moment moment) {
        double x = x(moment.span().start());
        double width = Math.max(3, x(moment.span().end()) - x);
        g.setFill(Petals.caution().deriveColor(0, 1, 1, 0.28));
        g.fillRect(x, SOUND_TOP - 4, width, SOUND_END - SOUND_TOP + 8);
        g.setFill(Petals.caution());
        g.fillRect(x, SOUND_TOP - 4, 2, SOUND_END - SOUND_TOP + 8);
        mark(DesktopText.of("proof.moment-picture.here"), x, Petals.ink());
    }

    /** Where it should have been. */
    private void due(Moment moment) {
        if (moment.due() == null || moment.due().equals(moment.span().start())) {
            return;
        }
        double x = x(moment.due());
        g.setStroke(Petals.work());
        g.setLineWidth(2);
        g.setLineDashes(4, 4);
        g.strokeLine(x, SOUND_TOP - 4, x, SOUND_END + 4);
        g.setLineDashes();
        mark(DesktopText.of("proof.moment-picture.due"), x, Petals.work());
    }

    private void mark(String word, double x, Color colour) {
        g.setFont(SMALL);
        g.setFill(colour);
        g.fillText(word, Math.max(0, Math.min(WIDTH - width(word), x - 2)), SOUND_TOP - 6);
    }

    private void sound(Trace loudness) {
        if (loudness.isEmpty()) {
            return;
        }
        SoundSilhouette silhouette = new SoundSilhouette(loudness);
        double middle = (SOUND_TOP + SOUND_END) / 2;
        g.setFill(Petals.voice());
        for (double x = 0; x < WIDTH; x += 2) {
            double level = silhouette.level(Time.ofSeconds(from + x / scale));
            double h = Math.max(1, level * (SOUND_END - SOUND_TOP));
            g.fillRect(x, middle - h / 2, 1.4, h);
        }
    }

    private void signals(TakeEvidence take) {
        g.setFill(Petals.rest());
        for (Beep beep : take.beeps()) {
            double x = x(beep.time());
            g.fillPolygon(
                    new double[] {x - 5, x, x + 5, x},
                    new double[] {SOUND_END, SOUND_END - 5, SOUND_END, SOUND_END + 5},
                    4);
        }
    }

    /** What is said, each sentence under where it begins; in a second row where the first is taken. */
    private void words(TakeEvidence take) {
        double[] free = new double[2];
        g.setFont(SMALL);
        g.setFill(Petals.ink());
        for (Caption c : take.words()) {
            double x = x(c.start());
            double end = x(c.end());
            if (end < 0 || x > WIDTH) {
                continue;
            }
            int row = free[0] <= free[1] ? 0 : 1;
            double at = Math.max(Math.max(0, x), free[row]);
            String words = fitting(c.text(), WIDTH - at);
            g.fillText(words, at, SOUND_END + 18 + 16 * row);
            free[row] = at + width(words) + 10;
        }
    }

    private static String fitting(String words, double room) {
        if (width(words) <= room) {
            return words;
        }
        int keep = words.length();
        while (keep > 0 && width(words.substring(0, keep) + "…") > room) {
            keep--;
        }
        return keep < 3 ? "" : words.substring(0, keep).strip() + "…";
    }

    private static double width(String words) {
        Text text = new Text(words);
        text.setFont(SMALL);
        return text.getLayoutBounds().getWidth();
    }
}
