package app.nosegay.cli;

import app.nosegay.media.Progress;
import java.io.PrintWriter;

/** Progress as one line on a terminal, rewritten in place; silent where there is none. */
final class ConsoleProgress implements Progress {
    private final String what;
    private final PrintWriter err;
    private final boolean terminal = System.console() != null;
    private int shown = -1;

    ConsoleProgress(String what, PrintWriter err) {
        this.what = what;
        this.err = err;
    }

    @Override
    public void at(double share) {
        int percent = (int) (share * 100);
        if (terminal && percent != shown) {
            err.print("\r" + what + " " + percent + " %" + (percent == 100 ? "\n" : ""));
            err.flush();
            shown = percent;
        }
    }
}
