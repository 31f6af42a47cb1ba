package app.nosegay.jobs;

import app.nosegay.captions.Caption;
import app.nosegay.captions.TranscriptReader;
import app.nosegay.evidence.SpokenStretches;
import app.nosegay.evidence.SpokenWords;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.files.Fingerprint;
import app.nosegay.files.InputFile;
import app.nosegay.media.Progress;
import app.nosegay.media.TakeReader;
import app.nosegay.shoot.ShootLog;
import app.nosegay.time.Length;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The takes of a workout, read: what the programme is computed from besides the workout itself.
 *
 * @param folder where the workout file is
 * @param readings by take id, in order
 * @param evidence the readings' evidence with their transcripts
 * @param logs one per take in the same order; entries may be null
 * @param replaced the ids of takes whose file holds something else than what was matched
 */
public record WorkoutMedia(
        Path folder,
        Map<String, TakeReader.Reading> readings,
        List<TakeEvidence> evidence,
        List<ShootLog> logs,
        Set<String> replaced) {
    /** Less than this may be the rounding of the container. */
    private static final Length CUT_OFF = Length.ofSeconds(1);

    /** Three hours of talk without a break at the usual 140 words a minute; finding the calls in it takes two or three seconds. */
    private static final int MOST_WORDS = 25_000;

    /** Some twenty hours of takes: worth a word. */
    private static final long MUCH_KEPT = 3_000_000_000L;

    public static WorkoutMedia none(Path folder) {
        return new WorkoutMedia(folder, Map.of(), List.of(), List.of(), Set.of());
    }

    /** Reads all takes of {@code workout}, from the shelf where they are there. */
    public static WorkoutMedia read(Workout workout, Path folder, Progress progress) throws IOException {
        Map<String, TakeReader.Reading> readings = new LinkedHashMap<>();
        List<TakeEvidence> evidence = new ArrayList<>();
        List<ShootLog> logs = new ArrayList<>();
        Set<String> replaced = new HashSet<>();
        int n = workout.takes().size();
        for (int i = 0; i < n; i++) {
            Workout.TakeRef take = workout.takes().get(i);
            int before = i;
            Path movie = Media.present(folder, take);
            TakeReader.Reading reading =
                    EvidenceCache.read(movie, take.id(), folder, s -> progress.at((before + s) / n));
            readings.put(take.id(), reading);
            boolean known = !take.fingerprint().isEmpty();
            if (known && !Fingerprint.of(movie).equals(take.fingerprint())) {
                replaced.add(take.id());
            }
            List<Caption> words = SpokenWords.laid(transcript(folder, take), SpokenStretches.of(reading.evidence()));
            TakeEvidence read = reading.evidence().withWords(words);
            evidence.add(
                    EvidenceCache.bodies(movie, folder).map(read::withBodies).orElse(read));
            logs.add(take.log() == null ? null : log(Media.resolved(folder, take.log())));
        }
        return new WorkoutMedia(folder, readings, evidence, logs, replaced);
    }

    private static List<Caption> transcript(Path folder, Workout.TakeRef take) throws IOException {
        return take.transcript() == null ? List.of() : transcript(Media.resolved(folder, take.transcript()));
    }

    /** Reads a timed transcript; fails naming the file. */
    public static List<Caption> transcript(Path file) throws IOException {
        try {
            List<Caption> captions = TranscriptReader.read(InputFile.TRANSCRIPT.bytes(file));
            long words = captions.stream().mapToLong(c -> c.words().size()).sum();
            if (words > MOST_WORDS) {
                throw new IOException(JobText.of("workout-media.too-many-words", words, MOST_WORDS));
            }
            return captions;
        } catch (IOException e) {
            throw named(file, e);
        }
    }

    /** Reads a shoot log; fails naming the file. */
    public static ShootLog log(Path file) throws IOException {
        try {
            return ShootLog.fromJson(InputFile.SHOOT_LOG.text(file));
        } catch (IOException | IllegalArgumentException e) {
            throw new IOException(
                    JobText.of("workout-media.cannot-be-read-as-a", file.getFileName(), FailureLog.brief(e)), e);
        }
    }

    /** The failure with the file's name before it, unless it names the file itself. */
    private static IOException named(Path file, IOException e) {
        String name = file.getFileName().toString();
        String what = FailureLog.brief(e);
        return new IOException(what.contains(name) ? what : name + ": " + what, e);
    }

    /**
     * What the user should know of the recordings as read: cut off, without sound, without picture; one sentence each, naming the
     * file.
     */
    public List<String> notices(Workout workout) {
        List<String> notices = new ArrayList<>();
        for (Workout.TakeRef take : workout.takes()) {
            TakeReader.Reading reading = readings.get(take.id());
            if (reading == null) {
                continue;
            }
            if (replaced.contains(take.id())) {
                notices.add(JobText.of("workout-media.holds-another-recording-than-when", take.file()));
            }
            Length said = reading.info().length();
            Length read = reading.evidence().length();
            if (said.minus(read).compareTo(CUT_OFF) > 0) {
                notices.add(
                        JobText.of("workout-media.the-recording-is-cut-off", take.file(), said.clock(), read.clock()));
            }
            if (reading.info().audio() == null) {
                notices.add(JobText.of("workout-media.has-no-sound-it-is", take.file()));
            } else if (reading.info().video() == null) {
                notices.add(JobText.of("workout-media.has-no-picture-it-is", take.file()));
            }
        }
        long kept = EvidenceCache.size(folder);
        if (kept > MUCH_KEPT) {
            notices.add(JobText.of("workout-media.the-folder-nosegay-beside-this", DiskSpace.words(kept)));
        }
        return notices;
    }

    /** {@code workout} with the shoot logs in its folder given to the takes whose sync tones carry their run number. */
    public Workout withRecognisedLogs(Workout workout) {
        List<Workout.TakeRef> takes = new ArrayList<>();
        for (Workout.TakeRef t : workout.takes()) {
            TakeReader.Reading reading = readings.get(t.id());
            Path log = t.log() != null || reading == null
                    ? null
                    : reading.evidence().tones().stream()
                            .filter(tone -> tone.code() != null)
                            .map(tone -> folder.resolve("shoot-" + tone.code().run() + ".log.json"))
                            .filter(Files::isRegularFile)
                            .findFirst()
                            .orElse(null);
            takes.add(log == null ? t : t.at(t.file(), t.transcript(), Media.stored(folder, log)));
        }
        return workout.withTakes(takes, workout.pins());
    }

    /** The same readings with the logs {@code workout} now names; one that cannot be read is left out. */
    public WorkoutMedia withLogs(Workout workout) {
        List<ShootLog> read = new ArrayList<>();
        for (Workout.TakeRef t : workout.takes()) {
            try {
                read.add(t.log() == null ? null : log(Media.resolved(folder, t.log())));
            } catch (IOException e) {
                read.add(null);
            }
        }
        return new WorkoutMedia(folder, readings, evidence, read, replaced);
    }

    /** The same readings with the bodies that were seen since. */
    public WorkoutMedia withBodies(Workout workout) {
        List<TakeEvidence> seen = new ArrayList<>();
        for (int i = 0; i < evidence.size(); i++) {
            TakeEvidence read = evidence.get(i);
            seen.add(workout.takes().stream()
                    .filter(t -> t.id().equals(read.id()))
                    .findFirst()
                    .flatMap(t -> EvidenceCache.bodies(Media.resolved(folder, t.file()), folder))
                    .map(read::withBodies)
                    .orElse(read));
        }
        return new WorkoutMedia(folder, readings, seen, logs, replaced);
    }

    public Programme programme(Workout workout) {
        return Programme.of(workout, evidence, logs, Libraries.current());
    }

    /** Where the small copy of a take for scrubbing is, if there is one; null when the take itself is gone. */
    public Path proxy(Path take) {
        try {
            return EvidenceCache.proxy(take, folder);
        } catch (IOException e) {
            return null;
        }
    }

    /** The takes' files by id. */
    public Map<String, Path> files(Workout workout) {
        Map<String, Path> files = new LinkedHashMap<>();
        workout.takes().forEach(t -> files.put(t.id(), Media.resolved(folder, t.file())));
        return files;
    }
}
