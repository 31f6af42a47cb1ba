package app.nosegay.calls.reader;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.calls.Call;
import app.nosegay.captions.Caption;
import app.nosegay.time.Time;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Many ways to say the same call, each alone between a start and a rest or between a rest and a start, as it would be said. */
class WaysToSayTest {
    private static final Set<String> AT_REST =
            Set.of("start", "count-in", "next-up", "total", "promise", "ordinal", "rounds-left");

    static Stream<String> calls() throws IOException {
        return lines("ways-to-say.txt");
    }

    static Stream<String> noCalls() throws IOException {
        return lines("no-calls.txt");
    }

    private static Stream<String> lines(String name) throws IOException {
        try (InputStream in = WaysToSayTest.class.getResourceAsStream(name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(l -> !l.startsWith("#") && !l.isBlank());
        }
    }

    @ParameterizedTest
    @MethodSource("calls")
    void isHeard(String line) {
        String[] parts = line.split("\\|");
        boolean rest = AT_REST.contains(parts[0].split(" ")[0]);
        assertThat(said(rest ? "and rest" : "ready set go", parts[1])).contains(parts[0]);
    }

    @ParameterizedTest
    @MethodSource("noCalls")
    void isNoCall(String line) {
        assertThat(said("ready set go", line)).isEmpty();
    }

    /** The calls in {@code words}, {@code before} having been said some seconds earlier. */
    private static List<String> said(String before, String words) {
        List<Caption> captions = List.of(
                caption(5, 7, before),
                caption(12, 15, "nice and easy there"),
                caption(24, 24 + words.length() / 12.0, words));
        return CallReader.read(captions, List.of()).stream()
                .filter(c -> c.time().seconds() >= 23)
                .map(WaysToSayTest::written)
                .toList();
    }

    private static Caption caption(double from, double to, String text) {
        return new Caption(Time.ofSeconds(from), Time.ofSeconds(to), text);
    }

    private static String written(Call c) {
        String word = c.kind().word().toLowerCase(Locale.ROOT);
        return switch (c.kind()) {
            case HALF_WAY -> word + " " + c.of();
            case TOTAL -> word + " " + (c.to() == null ? c.value() : c.to()) + " " + c.of();
            case PROMISE, REST, START, SWITCH_SIDE, NEXT_UP, LAST_REP -> word;
            default -> word + " " + c.value();
        };
    }
}
