package app.nosegay.desktop.session;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.jobs.FailureLog;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** What has to be known or decided first, one after the other, so that none covers another. */
public final class Notices {
    private final ReadOnlyObjectWrapper<Notice> shown = new ReadOnlyObjectWrapper<>();
    private final Deque<Notice> waiting = new ArrayDeque<>();
    private final Jobs jobs;

    Notices(Jobs jobs) {
        this.jobs = jobs;
    }

    /** The one that is shown; null for none. */
    public ReadOnlyObjectProperty<Notice> shown() {
        return shown.getReadOnlyProperty();
    }

    /** Shows a notice once those before it are dealt with; the same words are not shown twice. */
    public void show(Notice notice) {
        boolean known = isSame(shown.get(), notice) || waiting.stream().anyMatch(n -> isSame(n, notice));
        if (known) {
            return;
        }
        if (shown.get() == null) {
            shown.set(notice);
        } else {
            waiting.add(notice);
        }
    }

    private static boolean isSame(Notice one, Notice other) {
        return one != null && one.text().equals(other.text());
    }

    /** Something about the open workout; goes with it. */
    void ofWorkout(String text, Notice.Way... ways) {
        show(new Notice(text, List.of(ways), true));
    }

    /** Something that can only be taken note of, with other ways on where there are some. */
    public void say(String text, Notice.Way... ways) {
        List<Notice.Way> all = new ArrayList<>(List.of(ways));
        all.add(new Notice.Way(DesktopText.of("session.notices.dismiss"), () -> {}));
        show(new Notice(text, all, false));
    }

    /** A failure, with the way to the log. */
    public void failure(String sentence) {
        say(sentence, logFolder());
    }

    /** The way to the log of failures. */
    Notice.Way logFolder() {
        return new Notice.Way(DesktopText.of("session.notices.open-log-folder"), this::openLogFolder);
    }

    private void openLogFolder() {
        if (!FolderOpener.open(FailureLog.folder())) {
            jobs.say(DesktopText.of("session.notices.log-folder-is", FailureLog.folder()));
        }
    }

    /** The shown one is dealt with. */
    public void dismiss() {
        shown.set(waiting.poll());
    }

    /** The workout is left, and what concerned it. */
    void leaveWorkout() {
        waiting.removeIf(Notice::ofWorkout);
        if (shown.get() != null && shown.get().ofWorkout()) {
            dismiss();
        }
    }
}
