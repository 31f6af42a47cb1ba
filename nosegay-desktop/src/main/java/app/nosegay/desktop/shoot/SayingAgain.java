package app.nosegay.desktop.shoot;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.SessionTakes;
import app.nosegay.jobs.KeptRecording;
import app.nosegay.jobs.LinesRun;
import app.nosegay.media.Device;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.layout.Region;

/** Lines said once more: their page, their recording by the connected camera, and its import with what was heard. */
final class SayingAgain {
    private final Session session;
    private final DeviceChoice devices;
    private final Consumer<Region> show;
    private final Runnable over;
    private LinesRun run;

    /**
     * @param show shows the page
     * @param over told when the page is not wanted any more
     */
    SayingAgain(Session session, DeviceChoice devices, Consumer<Region> show, Runnable over) {
        this.session = session;
        this.devices = devices;
        this.show = show;
        this.over = over;
        session.atClose(() -> {
            if (run != null) {
                run.close();
            }
        });
    }

    boolean isOn() {
        return run != null;
    }

    void begin(List<LinesPage.Said> lines) {
        SessionTakes.Recipient madeFor = session.takes().new Recipient();
        try {
            run = new LinesRun(lines.stream().map(LinesPage.Said::say).toList(), recording(lines.size()));
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
            return;
        }
        LinesPage page = new LinesPage(lines, run, () -> ended(madeFor));
        show.accept(page.view());
        page.view().requestFocus();
    }

    /** Null when the camera records by itself. */
    private KeptRecording recording(int lines) throws IOException {
        Device camera = devices.camera();
        if (camera == null) {
            return null;
        }
        Path movie = KeptRecording.freeLines(session.folder());
        return new KeptRecording(camera, devices.microphone(), movie, lines * LinesRun.EACH, text -> session.jobs()
                .say(text));
    }

    private void ended(SessionTakes.Recipient madeFor) {
        LinesRun done = run;
        run = null;
        over.run();
        session.jobs().run(DesktopText.of("shoot.lines.listening"), done::heard, heard -> {
            if (heard.movie() == null) {
                session.notices().say(DesktopText.of("shoot.lines.import"));
            } else {
                session.jobs().tell(DesktopText.of("shoot.lines.heard", heard.lines()));
                session.takes().bringIn(heard.movie(), madeFor);
            }
        });
    }
}
