package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.desktop.session.Jobs;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.Test;

/** Long work can be stopped: what runs, and what waits behind it. */
class JobsWindowTest extends DrivenWindow {
    @Test
    void cancelEndsTheRunningJobAndThoseThatWaitForIt() throws Exception {
        Jobs jobs = shell.session().jobs();
        until(() -> !jobs.isRunning());
        List<String> done = new CopyOnWriteArrayList<>();
        List<String> begun = new CopyOnWriteArrayList<>();
        interact(() -> {
            for (String name : List.of("first", "second", "third")) {
                jobs.run(
                        name,
                        progress -> {
                            begun.add(name);
                            for (long step = 0; ; step++) {
                                progress.at(0);
                                Thread.onSpinWait();
                            }
                        },
                        result -> done.add(name));
            }
        });
        until(() -> begun.size() == 1);
        interact(jobs::cancel);
        until(() -> !jobs.isRunning());
        interact(() -> jobs.run("after", progress -> "", result -> done.add("after")));
        until(() -> done.size() == 1);
        assertThat(begun).containsExactly("first");
        assertThat(done).containsExactly("after");
    }
}
