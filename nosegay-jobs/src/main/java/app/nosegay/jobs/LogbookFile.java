package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
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
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** The logbook's file in the user's settings folder, and what the channel tells put into it. */
public final class LogbookFile {
    private LogbookFile() {}

    public static Path file() {
        return SettingsFolder.path().resolve("logbook.json");
    }

    /** The logbook; empty when there is none yet. */
    public static Logbook read() throws IOException {
        if (!Files.exists(file())) {
            return Logbook.EMPTY;
        }
        try {
            return LogbookJson.read(Files.readString(file()));
        } catch (IOException e) {
            throw new IOException(JobText.of("logbook-file.the-logbook-cannot-be-read", file(), e.getMessage()), e);
        }
    }

    /** Keeps the logbook: complete or not at all. */
    public static void keep(Logbook logbook) throws IOException {
        Files.createDirectories(file().toAbsolutePath().getParent());
        AtomicFile.write(file(), LogbookJson.write(logbook));
    }

    /** Hands the package in {@code folder} to the stand-in channel; gives the logbook with the answer. */
    public static Logbook submit(
            Logbook logbook, Programme programme, Path folder, Channel.Profile profile, String date)
            throws IOException {
        String title = programme.timeline().sheet().header().title();
        Channel.Answer answer = Channel.submit(folder, profile, title, date);
        String text = told(profile, answer);
        return logbook.with(
                new Logbook.Entry(date, answer.accepted() ? Logbook.Kind.PUBLISHED : Logbook.Kind.NEWS, title, text));
    }

    /** The channel's answer in a sentence. */
    public static String told(Channel.Profile profile, Channel.Answer answer) {
        return answer.accepted()
                ? JobText.of("logbook-file.was-accepted", profile.label())
                : JobText.of("logbook-file.was-refused", profile.label(), String.join("; ", answer.reasons()));
    }

    /** Asks the stand-in channel for news: comments become requests, the curve becomes where people leave. */
    public static Logbook news(Logbook logbook, Programme programme, Path folder, String date) throws IOException {
        String title = programme.timeline().sheet().header().title();
        List<Span<Axis.Cut>> dull = new ArrayList<>();
        programme.timeline().segments().stream()
                .filter(s -> s.kind() == SegmentKind.TALK || s.kind() == SegmentKind.REST)
                .forEach(s -> programme
                        .match()
                        .segment(s.id())
                        .flatMap(programme.cut()::shown)
                        .ifPresent(dull::add));
        Channel.news(folder, programme.cut().total(), dull, date, title.hashCode());
        Logbook more = logbook;
        try (var rows = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(Files.readString(folder.resolve("comments.csv"))))) {
            for (CSVRecord row : rows) {
                Request read = Request.of(row.get("text"), programme.library());
                Logbook.Entry entry = new Logbook.Entry(
                        row.get("date"),
                        read.asks() ? Logbook.Kind.REQUEST : Logbook.Kind.NEWS,
                        title,
                        row.get("text"));
                more = more.entries().contains(entry) ? more : more.with(entry);
            }
        }
        return more;
    }

    /** The retention curve in a published folder; null when none came yet. */
    public static Retention retention(Path folder) throws IOException {
        Path file = folder.resolve("retention.csv");
        return Files.exists(file) ? Retention.read(Files.readString(file)) : null;
    }
}
