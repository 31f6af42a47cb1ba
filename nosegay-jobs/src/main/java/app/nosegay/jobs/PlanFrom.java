package app.nosegay.jobs;

import app.nosegay.calls.Call;
import app.nosegay.calls.reader.CallReader;
import app.nosegay.calls.reader.DraftSheet;
import app.nosegay.calls.reader.HeardStructure;
import app.nosegay.captions.Caption;
import app.nosegay.captions.TranscriptReader;
import app.nosegay.files.InputFile;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.logbook.Request;
import app.nosegay.media.Progress;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.PlanCheck;
import app.nosegay.plan.edit.NotesReader;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheetParser;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** A run sheet from something else: notes as people write them, a viewer's request, what was said in an old video. */
public final class PlanFrom {
    private static final String COMMENT = "# ";

    private PlanFrom() {}

    /** Notes, or a run sheet as it is. */
    public static String notes(String text) {
        MoveLibrary library = Libraries.current();
        RunSheet sheet = RunSheetParser.parse(text, library);
        boolean written = sheet.errors().isEmpty() && !sheet.blocks().isEmpty();
        return written || text.isBlank() ? text : new NotesReader(library).read(text, false) + "\n";
    }

    /** A viewer's wish. */
    public static String request(String text) {
        MoveLibrary library = Libraries.current();
        return Request.of(text, library).sheet(library);
    }

    /** What was planned in a video, from what was said in it. */
    public static String video(Path file) throws IOException {
        return video(file, SaidInVideo.captions(file, Progress.NONE));
    }

    private static String video(Path file, List<Caption> captions) throws IOException {
        String draft = draft(calls(captions));
        if (draft.equals(DraftSheet.NOTHING)) {
            throw new IOException(JobText.of("plan-from.nothing-heard", file.getFileName()));
        }
        return draft;
    }

    /** What was said in a video, from its timed transcript: one line for each caption, with the time before it. */
    public static String said(Path file, Progress progress) throws IOException {
        List<Caption> captions = SaidInVideo.captions(file, progress);
        video(file, captions);
        return SaidInVideo.lines(captions).stream()
                .map(c -> String.format(
                        Locale.ROOT,
                        "[%d:%04.1f] %s",
                        (int) (c.start().seconds() / 60),
                        c.start().seconds() % 60,
                        c.text().replace('\n', ' ')))
                .collect(Collectors.joining("\n"));
    }

    /** The plan that is heard in a transcript with times; nothing where none is left in it. */
    public static String transcript(String text) {
        try {
            return draft(calls(TranscriptReader.read(text.getBytes(StandardCharsets.UTF_8))));
        } catch (IOException e) {
            return DraftSheet.NOTHING;
        }
    }

    /** The chapters of the video that a transcript is of; empty where no part of it was heard. */
    public static String chapters(String transcript) {
        try {
            return chapters(calls(TranscriptReader.read(transcript.getBytes(StandardCharsets.UTF_8))));
        } catch (IOException e) {
            return "";
        }
    }

    /** The same of the calls that were heard. */
    public static String chapters(List<Call> calls) {
        return DraftSheet.chapters(named(calls), calls);
    }

    private static List<Call> calls(List<Caption> captions) {
        return CallReader.read(captions, Libraries.current().names());
    }

    /** The intervals heard, each move by the name the library has for it. */
    private static List<HeardStructure.Heard> named(List<Call> calls) {
        MoveLibrary library = Libraries.current();
        return HeardStructure.of(calls).stream()
                .map(h -> h.as(library.called(h.move() == null ? "" : h.move())
                        .map(Move::name)
                        .orElse(h.move())))
                .toList();
    }

    /** The plan that was heard; where its length is not what was told, that stands in its first line. */
    public static String draft(List<Call> calls) {
        MoveLibrary library = Libraries.current();
        String sheet = DraftSheet.of(named(calls), calls);
        if (sheet.equals(DraftSheet.NOTHING)) {
            return sheet;
        }
        Timeline timeline = Expansion.expand(RunSheetParser.parse(sheet, library), library);
        return PlanCheck.promiseKept(PlanCheck.findings(timeline, library))
                ? sheet
                : COMMENT
                        + JobText.of(
                                "plan-from.other-length",
                                timeline.sheet().header().promise().text(),
                                timeline.total().clock())
                        + "\n" + sheet;
    }

    /** A text file: a timed transcript, a run sheet, or notes. */
    public static String text(Path file) throws IOException {
        String text = InputFile.RUN_SHEET.text(file);
        if (isTranscript(file) || text.contains("-->")) {
            return video(file);
        }
        return notes(text);
    }

    private static String ending(Path file) {
        String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
        return name.substring(name.lastIndexOf('.') + 1);
    }

    /** Whether it is a recording by its name. */
    public static boolean isMovie(Path file) {
        return List.of("mp4", "mov", "mkv", "webm", "m4v", "avi", "mts", "wav", "mp3", "m4a", "flac", "ogg")
                .contains(ending(file));
    }

    /** Whether it is a timed transcript by its name. */
    public static boolean isTranscript(Path file) {
        boolean named = List.of("vtt", "srt").contains(ending(file));
        return named || file.getFileName().toString().endsWith(".words.json");
    }

    /** Whether it can be a run sheet or notes by its name. */
    public static boolean isText(Path file) {
        return Files.isRegularFile(file)
                && List.of("runsheet", "txt", "md", "text").contains(ending(file));
    }
}
