package app.nosegay.jobs;

import com.fasterxml.jackson.core.JsonProcessingException;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import java.util.logging.ConsoleHandler;
import java.util.logging.FileHandler;
import java.util.logging.Formatter;
import java.util.logging.Handler;
import java.util.logging.Level;
import java.util.logging.LogRecord;
import java.util.logging.Logger;
import java.util.regex.Pattern;

/**
 * Where failures nobody planned for go: a rolling log in the settings folder, with the stack trace, and to whoever shows them. The log
 * can be sent: of paths it holds the file name alone.
 */
public final class FailureLog {
    private static final String FILES = "nosegay-%g.log";
    /** Three files of this size hold the failures of months. */
    private static final int MOST_BYTES = 1_000_000;

    private static final int MOST_FILES = 3;
    /** A path of two folders or more; its last part stays. */
    private static final Pattern FOLDERS =
            Pattern.compile("(?:[A-Za-z]:)?(?:[/\\\\][^/\\\\:\\s\"'()<>]+)+[/\\\\](?=[^/\\\\:\\s])");

    // Loggers are held weakly: without a reference of ours their levels would be forgotten.
    private static final Logger ROOT = Logger.getLogger("");
    private static final Logger LOG = Logger.getLogger("app.nosegay");
    private static final Logger JAVAFX = Logger.getLogger("javafx");

    private static final List<Consumer<String>> SHOWN_BY = new CopyOnWriteArrayList<>();

    private FailureLog() {}

    /** Where the log is. */
    public static Path folder() {
        return SettingsFolder.path().resolve("log");
    }

    /**
     * From now on every exception no thread catches is logged and shown, and no library writes to the console. Where the folder cannot be
     * written, failures are still shown.
     */
    public static void install() {
        for (Handler handler : ROOT.getHandlers()) {
            if (handler instanceof ConsoleHandler || handler instanceof FileHandler) {
                ROOT.removeHandler(handler);
                handler.close();
            }
        }
        // JavaFX warns at every start that it runs from the class path, as it does here on purpose.
        JAVAFX.setLevel(Level.SEVERE);
        try {
            Files.createDirectories(folder());
            Handler file = new FileHandler(folder().resolve(FILES).toString(), MOST_BYTES, MOST_FILES, true);
            file.setFormatter(new Lines());
            file.setEncoding("UTF-8");
            ROOT.addHandler(file);
        } catch (IOException e) {
            // Nothing can be logged; what fails is still shown.
        }
        Thread.setDefaultUncaughtExceptionHandler((thread, e) -> record(thread.getName(), e));
    }

    /**
     * Has every failure shown by {@code view}, as one sentence; called on whatever thread failed.
     *
     * @return ends it: a view that is gone is not to be kept for the sake of failures
     */
    public static AutoCloseable shownBy(Consumer<String> view) {
        SHOWN_BY.add(view);
        return () -> SHOWN_BY.remove(view);
    }

    /** Logs a failure nobody planned for, with where it happened, and has it shown. */
    public static void record(String where, Throwable failure) {
        LOG.log(Level.SEVERE, where, failure);
        String sentence = JobText.of("failure-log.something-went-wrong", where, what(failure));
        SHOWN_BY.forEach(view -> view.accept(sentence));
    }

    /** Logs what was expected to go wrong at times and has been told already: a missing file, a full disk. */
    public static void note(String where, Throwable failure) {
        LOG.log(Level.INFO, where, failure);
    }

    /** Shows what has to be known and is no failure of the program: a broken file that was set aside. */
    public static void show(String sentence) {
        SHOWN_BY.forEach(view -> view.accept(sentence));
    }

    /** The first line of what went wrong, without the source it was found in; a parser tells more than anybody wants to know. */
    static String brief(Throwable failure) {
        String message = failure instanceof JsonProcessingException parse
                ? parse.getOriginalMessage()
                        + (parse.getLocation() == null
                                ? ""
                                : JobText.of(
                                        "failure-log.at",
                                        parse.getLocation().getLineNr(),
                                        parse.getLocation().getColumnNr()))
                : failure.getMessage();
        return message == null || message.isBlank()
                ? failure.getClass().getSimpleName()
                : message.lines().findFirst().orElse("");
    }

    private static String what(Throwable failure) {
        String message = failure.getMessage();
        String name = failure.getClass().getSimpleName();
        return message == null || message.isBlank()
                ? name
                : name + ": " + withoutFolders(message.lines().findFirst().orElse(""));
    }

    /** The text with the folders of all paths in it left out. */
    static String withoutFolders(String text) {
        return FOLDERS.matcher(text).replaceAll("");
    }

    /** One line of time and place, then the stack trace. */
    private static final class Lines extends Formatter {
        @Override
        public String format(LogRecord entry) {
            StringWriter text = new StringWriter();
            PrintWriter out = new PrintWriter(text);
            out.printf(
                    "%s %s %s: %s%n",
                    entry.getInstant(), entry.getLevel(), entry.getLoggerName(), formatMessage(entry));
            if (entry.getThrown() != null) {
                entry.getThrown().printStackTrace(out);
            }
            return withoutFolders(text.toString());
        }
    }
}
