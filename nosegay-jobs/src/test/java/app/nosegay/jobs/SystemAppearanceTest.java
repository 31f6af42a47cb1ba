package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SystemAppearanceTest extends HomeFolder {
    @ParameterizedTest
    @CsvSource(
            nullValues = "-",
            value = {
                "Linux, org.freedesktop.appearance, '(<<uint32 1>>,)', true",
                "Linux, org.freedesktop.appearance, '(<<uint32 2>>,)', false",
                "Linux, org.freedesktop.appearance, '(<<uint32 0>>,)', false",
                "Linux, color-scheme, 'prefer-dark', true",
                "Linux, color-scheme, 'default', false",
                "Linux, gtk-theme, 'Adwaita-dark', true",
                "Linux, gtk-theme, 'Adwaita', false",
                "Mac OS X, AppleInterfaceStyle, Dark, true",
                "Windows 11, AppsUseLightTheme, AppsUseLightTheme    REG_DWORD    0x0, true",
                "Windows 11, AppsUseLightTheme, AppsUseLightTheme    REG_DWORD    0x1, false",
            })
    void itIsAskedInEachSystemsOwnWay(String system, String setting, String answer, boolean dark) {
        assertThat(SystemAppearance.isDark(system, command -> {
                    if (!command.contains(setting)) {
                        throw new IOException("no such setting");
                    }
                    return answer + "\n";
                }))
                .isEqualTo(dark);
    }

    @ParameterizedTest
    @CsvSource({"Linux", "Mac OS X", "Windows 11", "Haiku"})
    void aSystemThatDoesNotAnswerIsLight(String system) {
        assertThat(SystemAppearance.isDark(system, SystemAppearanceTest::silent))
                .isFalse();
    }

    private static String silent(List<String> command) throws IOException {
        throw new IOException("Cannot run program " + command.get(0));
    }

    @Test
    void theChoiceIsKeptAndAnUnknownOneIsLight() throws Exception {
        WindowSettings.change(s -> s.withZoom(1.3).withAppearance(WindowSettings.Appearance.AS_THE_SYSTEM));
        assertThat(WindowSettings.read().appearance()).isEqualTo(WindowSettings.Appearance.AS_THE_SYSTEM);
        assertThat(WindowSettings.read().zoom()).isEqualTo(1.3);
        Files.writeString(home.resolve("window.json"), "{\"zoom\": 1.2, \"appearance\": \"PLAID\"}");
        assertThat(WindowSettings.read().appearance()).isEqualTo(WindowSettings.Appearance.LIGHT);
        assertThat(WindowSettings.read().zoom()).isEqualTo(1.2);
    }
}
