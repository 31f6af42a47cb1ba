package app.nosegay.jobs;

import app.nosegay.files.InputFile;
import app.nosegay.logbook.Logbook;
import app.nosegay.logbook.LogbookJson;
import app.nosegay.logbook.Request;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.publish.Retention;
import app.nosegay.standins.Channel;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.workout.Programme;
import java.io.IOException;
import java.io.StringReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** The logbook's file in the user's settings folder, and what the channel tells put into it. */
public final class LogbookFile {
    private LogbookFile() {}

    private static final SharedFile<Logbook> FILE =
            new SharedFile<>("logbook.json", InputFile.LOGBOOK, Logbook.EMPTY, LogbookJson::read, LogbookJson::write);

    public static Path file() {
        return FILE.file();
    }

    /** The logbook; empty when there is none yet. */
    public static Logbook read() throws IOException {
        return FILE.read();
    }

    /** Changes the logbook as it is at this moment, whoever wrote it last; gives it as it is then. */
    public static Logbook change(UnaryOperator<Logbook> step) throws IOException {
        return FILE.change(step);
    }

    /** Hands the package in {@code folder} to the stand-in channel; gives what the logbook is to hold of it. */
    public static Logbook.Entry submit(Programme programme, Path folder, Channel.Profile profile, String date)
            throws IOException {
        String title = programme.timeline().sheet().header().title();
        Channel.Answer answer = Channel.submit(folder, profile, title, date);
        return new Logbook.Entry(
                date, answer.accepted() ? Logbook.Kind.PUBLISHED : Logbook.Kind.NEWS, title, told(profile, answer));
    }

    /** The channel's answer in a sentence. */
    public static String told(Channel.Profile profile, Channel.Answer answer) {
        return answer.accepted()
                ? JobText.of("logbook-file.was-accepted", profile.label())
                : JobText.of("logbook-file.was-refused", profile.label(), String.join("; ", answer.reasons()));
    }

    /** Asks the stand-in channel for news: comments become entries, those with a wish requests; the curve becomes where people leave. */
    public static List<Logbook.Entry> news(Programme programme, Path folder, String date) throws IOException {
        String title = programme.timeline().sheet().header().title();
        List<Span<Axis.Cut>> dull = new ArrayList<>();
        programme.timeline().segments().stream()
                .filter(s -> s.kind() == SegmentKind.TALK || s.kind() == SegmentKind.REST)
                .forEach(s -> programme
                        .match()
                        .segment(s.id())
                        .flatMap(programme.cut()::shown)
                        .ifPresent(dull::add));
        // A curve somebody brought from a real host is kept beside.
        Replacing replacing = new Replacing(folder, new ProtectedFiles(), true);
        replacing.file(
                folder.resolve("retention.csv"),
                () -> replacing.file(
                        folder.resolve("comments.csv"),
                        () -> Channel.news(folder, programme.cut().total(), dull, date, title.hashCode())));
        List<Logbook.Entry> news = new ArrayList<>();
        try (var rows = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(InputFile.TEXT.text(folder.resolve("comments.csv"))))) {
            for (CSVRecord row : rows) {
                Request read = Request.of(row.get("text"), programme.library());
                news.add(new Logbook.Entry(
                        row.get("date"),
                        read.asks() ? Logbook.Kind.REQUEST : Logbook.Kind.NEWS,
                        title,
                        row.get("text")));
            }
        }
        return news;
    }

    /** The retention curve in a published folder; null when none came yet. */
    public static Retention retention(Path folder) throws IOException {
        Path file = folder.resolve("retention.csv");
        return Files.exists(file) ? Retention.read(InputFile.TEXT.text(file)) : null;
    }
}
