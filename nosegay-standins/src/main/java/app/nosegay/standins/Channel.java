package app.nosegay.standins;

import app.nosegay.files.AtomicFile;
import app.nosegay.media.MediaInfo;
import app.nosegay.media.MediaInput;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A stand-in for a place to publish at: takes a package, applies the generic rules of a host profile ({@code hosts.json}), answers with an
 * acceptance or the reasons for a refusal, keeps a dated history beside the package, and later gives made-up news of it. Nothing is
 * sent anywhere.
 */
public final class Channel {
    private static final Pattern CHAPTER = Pattern.compile("(?:(\\d+):)?(\\d{1,2}):(\\d{2}) (.+)");
    private static final String HISTORY = "channel-history.json";
    private static final int FEWEST_CHAPTERS = 3;
    private static final int SHORTEST_CHAPTER = 10;
    /** Made up: a minute keeps about this share of who was there. */
    private static final double KEPT_A_MINUTE = 0.965;

    private static final String[] COMMENTS = {
        StandInText.of("channel.did-this-between-the-beans"),
        StandInText.of("channel.could-you-do-20-min"),
        StandInText.of("channel.the-rests-are-just-right"),
        StandInText.of("channel.more-core-please-15-min"),
        StandInText.of("channel.my-knees-liked-the-easier"),
        StandInText.of("channel.lost-you-at-the-change"),
        StandInText.of("channel.a-30-min-legs-one")
    };

    private Channel() {}

    /**
     * What a host wants.
     *
     * @param file the file of the package it takes, or a folder of them
     * @param shape any or portrait
     */
    public record Profile(
            String name,
            String label,
            String file,
            boolean picture,
            String shape,
            double leastSeconds,
            double mostSeconds,
            int mostTitle,
            int mostDescription,
            boolean chapters,
            String cover) {}

    /**
     * The answer to a package.
     *
     * @param reasons why it was refused; empty when it was accepted
     */
    public record Answer(String date, String profile, String title, List<String> reasons) {
        public boolean accepted() {
            return reasons.isEmpty();
        }
    }

    /** The shipped profiles. */
    public static List<Profile> profiles() {
        try (InputStream in = Channel.class.getResourceAsStream("hosts.json")) {
            List<Profile> profiles = new ArrayList<>();
            for (JsonNode p : JsonMapper.builder().build().readTree(in).path("profiles")) {
                profiles.add(new Profile(
                        p.path("name").asText(),
                        p.path("label").asText(),
                        p.path("file").asText(),
                        p.path("picture").asBoolean(),
                        p.path("shape").asText(),
                        p.path("leastSeconds").asDouble(),
                        p.path("mostSeconds").asDouble(),
                        p.path("mostTitle").asInt(),
                        p.path("mostDescription").asInt(),
                        p.path("chapters").asBoolean(),
                        p.path("cover").asText()));
            }
            return profiles;
        } catch (IOException e) {
            throw new UncheckedIOException(StandInText.of("channel.the-shipped-host-profiles-cannot"), e);
        }
    }

    /** Hands in the package in {@code folder}; the answer is kept in its history. */
    public static Answer submit(Path folder, Profile profile, String title, String date) throws IOException {
        List<String> reasons = new ArrayList<>();
        if (title.isBlank()) {
            reasons.add(StandInText.of("channel.it-has-no-title"));
        } else if (title.length() > profile.mostTitle()) {
            reasons.add(StandInText.of("channel.the-title-has-characters-are", title.length(), profile.mostTitle()));
        }
        text(folder.resolve("description.txt"), profile, reasons);
        if (profile.chapters()) {
            chapters(folder.resolve("chapters.txt"), reasons);
        }
        if (!profile.cover().isEmpty() && !Files.isRegularFile(folder.resolve(profile.cover()))) {
            reasons.add(StandInText.of("channel.the-cover-is-missing", profile.cover()));
        }
        for (Path film : films(folder.resolve(profile.file()), reasons)) {
            film(film, profile, reasons);
        }
        Answer answer = new Answer(date, profile.name(), title, List.copyOf(reasons));
        keep(folder.resolve(HISTORY), answer);
        return answer;
    }

    private static void text(Path file, Profile profile, List<String> reasons) throws IOException {
        if (!Files.isRegularFile(file)) {
            reasons.add(StandInText.of("channel.the-description-is-missing-description"));
        } else if (Files.readString(file).length() > profile.mostDescription()) {
            reasons.add(StandInText.of(
                    "channel.the-description-has-characters",
                    Files.readString(file).length(),
                    profile.mostDescription()));
        }
    }

    private static List<Path> films(Path file, List<String> reasons) throws IOException {
        if (Files.isDirectory(file)) {
            try (Stream<Path> inside = Files.list(file)) {
                List<Path> films = inside.filter(f -> f.toString().endsWith(".mp4"))
                        .sorted()
                        .toList();
                if (films.isEmpty()) {
                    reasons.add(StandInText.of("channel.there-is-no-clip-in", file.getFileName()));
                }
                return films;
            }
        }
        if (!Files.isRegularFile(file)) {
            reasons.add(StandInText.of("channel.is-missing", file.getFileName()));
            return List.of();
        }
        return List.of(file);
    }

    private static void film(Path film, Profile profile, List<String> reasons) {
        String name = film.getFileName().toString();
        MediaInfo info;
        try {
            info = MediaInput.probe(film);
        } catch (IOException e) {
            reasons.add(StandInText.of("channel.cannot-be-played", name));
            return;
        }
        double seconds = info.length().seconds();
        if (seconds < profile.leastSeconds() || seconds > profile.mostSeconds()) {
            reasons.add(StandInText.of(
                    "channel.lasts-s-to-s-are", name, seconds, profile.leastSeconds(), profile.mostSeconds()));
        }
        if (profile.picture() && info.video() == null) {
            reasons.add(StandInText.of("channel.has-no-picture", name));
        }
        boolean portrait = info.video() != null
                && info.video().shownHeight() > info.video().shownWidth();
        if (profile.shape().equals("portrait") && info.video() != null && !portrait) {
            reasons.add(StandInText.of("channel.is-not-upright", name));
        }
        if (info.audio() == null) {
            reasons.add(StandInText.of("channel.has-no-sound", name));
        }
    }

    private static void chapters(Path file, List<String> reasons) throws IOException {
        if (!Files.isRegularFile(file)) {
            reasons.add(StandInText.of("channel.the-chapter-lines-are-missing"));
            return;
        }
        List<Integer> starts = new ArrayList<>();
        for (String line : Files.readAllLines(file)) {
            Matcher m = CHAPTER.matcher(line.strip());
            if (m.matches()) {
                int hours = m.group(1) == null ? 0 : Integer.parseInt(m.group(1));
                starts.add(hours * 3600 + Integer.parseInt(m.group(2)) * 60 + Integer.parseInt(m.group(3)));
            }
        }
        if (starts.size() < FEWEST_CHAPTERS) {
            reasons.add(StandInText.of("channel.there-are-chapters-at-least", starts.size()));
        } else if (starts.get(0) != 0) {
            reasons.add(StandInText.of("channel.the-first-chapter-does-not"));
        }
        for (int i = 1; i < starts.size(); i++) {
            if (starts.get(i) - starts.get(i - 1) < SHORTEST_CHAPTER) {
                reasons.add(StandInText.of("channel.chapter-is-shorter-than-10", i));
            }
        }
    }

    private static void keep(Path file, Answer answer) throws IOException {
        JsonMapper mapper = JsonMapper.builder().build();
        ArrayNode history = Files.exists(file) ? (ArrayNode) mapper.readTree(file.toFile()) : mapper.createArrayNode();
        ObjectNode node = history.addObject();
        node.put("date", answer.date())
                .put("profile", answer.profile())
                .put("title", answer.title())
                .put("accepted", answer.accepted());
        ArrayNode reasons = node.putArray("reasons");
        answer.reasons().forEach(reasons::add);
        AtomicFile.write(file, history.toPrettyString() + "\n");
    }

    /**
     * Made-up news of a published film: {@code retention.csv} (second, share) and {@code comments.csv} (date, text) in {@code folder}.
     * The same seed gives the same news.
     *
     * @param total the film's length
     * @param dull stretches in which more viewers leave
     */
    public static void news(Path folder, Length total, List<Span<Axis.Cut>> dull, String date, long seed)
            throws IOException {
        Random random = new Random(seed);
        StringBuilder curve = new StringBuilder("second,share\n");
        double share = 1;
        for (int second = 0; second <= total.seconds(); second += 5) {
            curve.append(String.format(Locale.ROOT, "%d,%.4f%n", second, share));
            double keeps = Math.pow(second < 20 ? 0.3 : KEPT_A_MINUTE, 5 / 60.0);
            int now = second;
            boolean leaving = dull.stream()
                    .anyMatch(s -> now >= s.start().seconds() && now < s.end().seconds());
            share *= keeps * (leaving ? 0.985 : 1) * (1 - 0.002 * random.nextDouble());
        }
        AtomicFile.write(folder.resolve("retention.csv"), curve);
        StringBuilder comments = new StringBuilder("date,text\n");
        int first = random.nextInt(COMMENTS.length);
        for (int i = 0; i < 4; i++) {
            comments.append(date)
                    .append(",\"")
                    .append(COMMENTS[(first + i * 2) % COMMENTS.length])
                    .append("\"\n");
        }
        AtomicFile.write(folder.resolve("comments.csv"), comments);
    }
}
