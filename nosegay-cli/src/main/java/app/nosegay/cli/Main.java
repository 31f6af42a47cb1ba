package app.nosegay.cli;

import app.nosegay.jobs.FailureLog;
import app.nosegay.jobs.ShippedFonts;
import java.io.IOException;
import java.io.InputStream;
import java.lang.reflect.InvocationTargetException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Properties;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** The entry of {@code ./nosegay}. Exits 0 (done), 1 (findings of severity stop) or 2 (bad input, one clear line on stderr). */
@Command(
        name = "nosegay",
        mixinStandardHelpOptions = true,
        resourceBundle = "app.nosegay.cli.usage",
        versionProvider = Main.Version.class,
        subcommands = {
            PlanCommand.class,
            FitCommand.class,
            ShortenCommand.class,
            ScriptCommand.class,
            FrameCommand.class,
            SimulateCommand.class,
            MatchCommand.class,
            ProofCommand.class,
            TranscriptCommand.class,
            PublishCommand.class,
            PackCommand.class,
            JoinCommand.class,
            ChannelCommand.class,
            DemoCommand.class,
            Main.Screenshots.class
        })
public final class Main implements Callable<Integer> {
    static final int DONE = 0;
    static final int STOPPED_BY_FINDINGS = 1;
    static final int BAD_INPUT = 2;

    @Parameters(arity = "0..1", paramLabel = "WORKOUT", descriptionKey = "nosegay.workout")
    private Path workout;

    /** The version the build was made with. */
    static final class Version implements CommandLine.IVersionProvider {
        @Override
        public String[] getVersion() throws IOException {
            Properties built = new Properties();
            try (InputStream in = Main.class.getResourceAsStream("version.properties")) {
                built.load(in);
            }
            return new String[] {CliText.of("main.nosegay", built.getProperty("version"))};
        }
    }

    public static void main(String[] args) {
        FailureLog.install();
        ShippedFonts.lay();
        System.exit(run(args));
    }

    /** Runs one command line; gives its exit code. */
    public static int run(String... args) {
        CommandLine line = new CommandLine(new Main());
        line.setExecutionExceptionHandler((e, command, result) -> {
            if (e instanceof CancellationException) {
                command.getErr().println(CliText.of("main.cancelled-nothing-was-left-half"));
                return BAD_INPUT;
            }
            if (e instanceof IOException || e instanceof IllegalArgumentException) {
                command.getErr().println(CliText.of("main.nosegay-2", e.getMessage()));
                return BAD_INPUT;
            }
            FailureLog.record(command.getCommandName(), e);
            command.getErr().println(CliText.of("main.something-went-wrong", e, FailureLog.folder()));
            return BAD_INPUT;
        });
        return line.execute(args);
    }

    @Override
    public Integer call() throws Exception {
        if (workout != null && !Files.isRegularFile(workout)) {
            throw new IOException(CliText.of("main.is-neither-a-command-see", workout));
        }
        return window("open", workout == null ? "" : workout.toString());
    }

    /** Starts the window by class name, so that no command but this one loads JavaFX. */
    static int window(String mode, String file) throws Exception {
        try {
            Class.forName("app.nosegay.desktop.Desktop")
                    .getMethod("open", String.class, String.class)
                    .invoke(null, mode, file);
            return DONE;
        } catch (InvocationTargetException e) {
            if (e.getCause() instanceof Exception cause) {
                throw cause;
            }
            throw e;
        }
    }

    /** Drives the real interface and takes its pictures. */
    @Command(name = "screenshots", mixinStandardHelpOptions = true)
    static final class Screenshots implements Callable<Integer> {
        @Option(names = "--out", defaultValue = "docs/screenshots", descriptionKey = "nosegay.screenshots.out")
        private Path out;

        @Override
        public Integer call() throws Exception {
            return window("screenshots", out.toString());
        }
    }
}
