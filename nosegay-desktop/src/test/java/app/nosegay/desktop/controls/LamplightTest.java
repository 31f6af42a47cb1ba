package app.nosegay.desktop.controls;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.desktop.NosegayApp;
import app.nosegay.dress.Contrast;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

class LamplightTest {
    private static final Pattern TOKEN = Pattern.compile("(?m)^  (-[a-z-]+): #([0-9a-f]{6});");

    @Test
    void coloursAreTurnedAndNamesAreNot() {
        String dark = Lamplight.dark(
                "#facade .chip, #decade { -fx-text-fill: #1d2a22; -fx-effect: shadow(x, #1d2a2255, 8); }");
        assertThat(dark)
                .startsWith("#facade .chip, #decade { -fx-text-fill: #d")
                .contains("55, 8)");
        assertThat(dark).doesNotContain("#1d2a22");
    }

    /** DESIGN: what is read has a contrast of at least 4.5 : 1, on the paper, on what lies deeper and on cards. */
    @Test
    void theStyleSheetIsLegibleByDayAndByLamplight() throws Exception {
        String day;
        try (InputStream in = NosegayApp.class.getResourceAsStream("nosegay.css")) {
            day = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
        for (String sheet : List.of(day, Lamplight.dark(day))) {
            for (String paper : List.of("-paper", "-paper-deep", "-fx-control-inner-background")) {
                for (String written :
                        List.of("-ink", "-faded", "-work", "-rest", "-voice", "-count", "-option", "-caution")) {
                    assertThat(Contrast.ratio(token(sheet, written), token(sheet, paper)))
                            .as(written + " on " + paper)
                            .isGreaterThanOrEqualTo(4.5);
                }
            }
        }
    }

    private static int token(String sheet, String name) {
        return TOKEN.matcher(sheet)
                .results()
                .filter(r -> r.group(1).equals(name))
                .map((MatchResult r) -> Integer.parseInt(r.group(2), 16))
                .findFirst()
                .orElseThrow();
    }
}
