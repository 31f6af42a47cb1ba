package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import app.nosegay.files.InputFile;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.series.Series;
import app.nosegay.series.SeriesReport;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Series files, and the computing of a series from the workout files it names. */
public final class SeriesFile {
    public static final String ENDING = ".series.json";

    private SeriesFile() {}

    public static Series open(Path file) throws IOException {
        try {
            return Series.fromJson(InputFile.SERIES.text(file));
        } catch (IOException | IllegalArgumentException e) {
            throw new IOException(JobText.of("series-file.cannot-be-read", file.getFileName(), FailureLog.brief(e)), e);
        }
    }

    /** Writes a series: complete or not at all. */
    public static void save(Path file, Series series) throws IOException {
        AtomicFile.write(file, series.toJson());
    }

    /**
     * A computed series.
     *
     * @param entries those that could be read, one for each day of the report
     * @param problems why the others could not
     */
    public record Read(SeriesReport report, List<Series.Entry> entries, List<String> problems) {}

    /** Reads the workouts of a series that lies in {@code folder} and computes it. */
    public static Read read(Series series, Path folder) {
        List<Map.Entry<Integer, Timeline>> plans = new ArrayList<>();
        List<Series.Entry> entries = new ArrayList<>();
        List<String> problems = new ArrayList<>();
        for (Series.Entry entry : series.entries()) {
            try {
                String sheet =
                        WorkoutFile.open(Media.resolved(folder, entry.file())).sheet();
                plans.add(Map.entry(
                        entry.day(),
                        Expansion.expand(RunSheetParser.parse(sheet, Libraries.current()), Libraries.current())));
                entries.add(entry);
            } catch (IOException e) {
                problems.add(e.getMessage());
            }
        }
        return new Read(SeriesReport.of(plans, Libraries.current()), entries, problems);
    }
}
