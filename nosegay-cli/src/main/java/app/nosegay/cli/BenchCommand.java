package app.nosegay.cli;

import java.util.concurrent.Callable;
import picocli.CommandLine.Command;

/** placeholder replaced below. */
@Command(name = "bench")
final class BenchCommand implements Callable<Integer> {
    @Override
    public Integer call() {
        return 0;
    }
}
