package app.nosegay.workout;

import app.nosegay.cut.MatchNotes;
import app.nosegay.dress.DressNotes;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Pin;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.script.ScriptNotes;
import app.nosegay.script.ScriptNotes.Decided;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * All that is stored of a workout. The run-sheet text is the truth; timeline, cue plan, match and dressing are computed from it.
 *
 * @param sheet the run-sheet text verbatim
 * @param takes the recordings it refers to, in order
 * @param pins boundaries fixed by hand
 * @param script what was decided about the script by hand
 * @param matching what was decided about the match by hand
 * @param dressing what was decided about the dressing by hand
 * @param waivers findings left as they are
 * @param settings figures set for this workout
 */
public record Workout(
        String sheet,
        List<TakeRef> takes,
        List<Pin> pins,
        ScriptNotes script,
        MatchNotes matching,
        DressNotes dressing,
        List<Waiver> waivers,
        Settings settings) {
    public static final Workout EMPTY = new Workout("", List.of(), List.of());

    public Workout {
        takes = List.copyOf(takes);
        pins = List.copyOf(pins);
        waivers = List.copyOf(waivers);
    }

    public Workout(String sheet, List<TakeRef> takes, List<Pin> pins) {
        this(sheet, takes, pins, ScriptNotes.NONE, MatchNotes.NONE, DressNotes.NONE, List.of(), Settings.DEFAULT);
    }

    /**
     * A recording, which stays where it is.
     *
     * @param id short name, unique in the workout
     * @param file path, relative to the workout file where both are on one volume
     * @param size in bytes
     * @param seconds its length
     * @param fingerprint SHA-256 of its first and last 1 MiB, in hex
     * @param transcript path of a timed transcript, or null
     * @param log path of the shoot log, or null
     * @param note what the creator wrote about it, or empty
     */
    public record TakeRef(
            String id,
            String file,
            long size,
            double seconds,
            String fingerprint,
            String transcript,
            String log,
            String note) {
        public TakeRef(
                String id, String file, long size, double seconds, String fingerprint, String transcript, String log) {
            this(id, file, size, seconds, fingerprint, transcript, log, "");
        }

        public TakeRef at(String otherFile, String otherTranscript, String otherLog) {
            return new TakeRef(id, otherFile, size, seconds, fingerprint, otherTranscript, otherLog, note);
        }

        public TakeRef called(String otherId) {
            return new TakeRef(otherId, file, size, seconds, fingerprint, transcript, log, note);
        }

        public TakeRef withNote(String words) {
            return new TakeRef(id, file, size, seconds, fingerprint, transcript, log, words);
        }
    }

    /** With what the creator wrote about a take. */
    public Workout withTakeNote(String take, String note) {
        return withTakes(
                takes.stream()
                        .map(t -> t.id().equals(take) ? t.withNote(note) : t)
                        .toList(),
                pins);
    }

    /** With another text. What hangs on a segment follows it where its line was renamed or moved. */
    public Workout withSheet(String text) {
        boolean nothingHangs = pins.isEmpty()
                && waivers.isEmpty()
                && script.lines().isEmpty()
                && matching.equals(MatchNotes.NONE)
                && dressing.places().isEmpty();
        Map<String, String> renamed = nothingHangs || text.equals(sheet) ? Map.of() : renamed(text);
        if (renamed.isEmpty()) {
            return new Workout(text, takes, pins, script, matching, dressing, waivers, settings);
        }
        return new Workout(
                text,
                takes,
                pins.stream()
                        .map(p -> new Pin(renamed.getOrDefault(p.segment(), p.segment()), p.end(), p.take(), p.time()))
                        .toList(),
                script.withLines(script.lines().stream()
                        .map(l -> new Decided(
                                renamed.getOrDefault(l.segment(), l.segment()), l.of(), l.kind(), l.text(), l.at()))
                        .toList()),
                matching.renamed(renamed),
                dressing.renamed(renamed),
                waivers.stream().map(w -> moved(w, renamed)).toList(),
                settings);
    }

    private static Waiver moved(Waiver w, Map<String, String> renamed) {
        int space = w.key().indexOf(' ');
        String segment = space < 0 ? "" : w.key().substring(space + 1);
        String to = renamed.get(segment);
        return to == null ? w : new Waiver(w.key().substring(0, space) + " " + to, w.reason(), w.date());
    }

    private Map<String, String> renamed(String text) {
        MoveLibrary library = MoveLibrary.shipped();
        Timeline before = Expansion.expand(RunSheetParser.parse(sheet, library), library);
        Timeline after = Expansion.expand(RunSheetParser.parse(text, library), library);
        return Renaming.of(before, after);
    }

    public Workout withTake(TakeRef take) {
        List<TakeRef> more = new ArrayList<>(takes);
        more.add(take);
        return withTakes(more, pins);
    }

    /** With other takes and pins, all else as it is. */
    public Workout withTakes(List<TakeRef> otherTakes, List<Pin> otherPins) {
        return new Workout(sheet, otherTakes, otherPins, script, matching, dressing, waivers, settings);
    }

    /** A name for one more take that none of them has. */
    public String nextTake() {
        int n = takes.size() + 1;
        while (hasTake("take-" + n)) {
            n++;
        }
        return "take-" + n;
    }

    public boolean hasTake(String id) {
        return takes.stream().anyMatch(t -> t.id().equals(id));
    }

    /** Without a take and the pins that lie in it. */
    public Workout withoutTake(String id) {
        return withTakes(
                takes.stream().filter(t -> !t.id().equals(id)).toList(),
                pins.stream().filter(p -> !p.take().equals(id)).toList());
    }

    /** With {@code pin} in place of any pin of the same boundary. */
    public Workout withPin(Pin pin) {
        List<Pin> more =
                new ArrayList<>(pins.stream().filter(p -> !p.sameBoundary(pin)).toList());
        more.add(pin);
        return withTakes(takes, more);
    }

    public Workout withoutPin(Pin pin) {
        return withTakes(takes, pins.stream().filter(p -> !p.sameBoundary(pin)).toList());
    }

    public Workout withScript(ScriptNotes notes) {
        return new Workout(sheet, takes, pins, notes, matching, dressing, waivers, settings);
    }

    public Workout withMatching(MatchNotes notes) {
        return new Workout(sheet, takes, pins, script, notes, dressing, waivers, settings);
    }

    public Workout withDressing(DressNotes notes) {
        return new Workout(sheet, takes, pins, script, matching, notes, waivers, settings);
    }

    public Workout withSettings(Settings set) {
        return new Workout(sheet, takes, pins, script, matching, dressing, waivers, set);
    }

    /** With a finding left as it is. */
    public Workout withWaiver(Waiver waiver) {
        List<Waiver> more = new ArrayList<>(
                waivers.stream().filter(w -> !w.key().equals(waiver.key())).toList());
        more.add(waiver);
        return new Workout(sheet, takes, pins, script, matching, dressing, more, settings);
    }

    public Workout withoutWaiver(String key) {
        return new Workout(
                sheet,
                takes,
                pins,
                script,
                matching,
                dressing,
                waivers.stream().filter(w -> !w.key().equals(key)).toList(),
                settings);
    }

    /** The waiver of a finding; empty when it is not waived. */
    public Optional<Waiver> waiver(Finding finding) {
        return waivers.stream().filter(w -> w.key().equals(finding.key())).findFirst();
    }
}
