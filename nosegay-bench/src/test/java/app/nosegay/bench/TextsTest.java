package app.nosegay.bench;

import static org.assertj.core.api.Assertions.assertThat;

import com.ibm.icu.text.MessageFormat;
import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What people read stands in bundles: no text in the code, no key without a text, no text without a use. */
class TextsTest {
    private static final Path HOME = Path.of("..");
    private static final Pattern COMMENT = Pattern.compile("/\\*(?:.|\\n)*?\\*/|(?m)(?<=[\\s;{}(])//[^\\n]*");
    private static final Pattern LITERAL = Pattern.compile("\"((?:\\\\.|[^\"\\\\\\n])*)\"");
    /** Two words with a space between them are a text. */
    private static final Pattern WORDS = Pattern.compile("\\p{L}{2,}[,;:.!?…]? \\p{Ll}{2,}");
    /** What is shown as it is given. */
    private static final Pattern SHOWN =
            Pattern.compile("(?:new (?:Button|Label|CheckBox|RadioButton|ToggleButton|Tooltip|MenuItem|Text)|setText|"
                    + "setPromptText|setTitle)\\(\"[^\"]*\\p{L}{2,}");
    /** Style rules, patterns, what only developers see, and names that stand in files. */
    private static final Pattern TECHNICAL = Pattern.compile(
            "-fx-.*|dead air|long rest|after the end|new line |EEEE.*|every Java has.*|.*(?:\\(\\?|\\\\\\\\b|\\[\\^).*");

    /** The photographer writes made-up sample data for the pictures in the docs. */
    private static final Set<String> SAMPLE_DATA = Set.of("Photographer.java", "LogbookCsv.java");

    private static List<Path> sources(String module) throws IOException {
        try (Stream<Path> files = Files.walk(HOME.resolve(module).resolve("src/main/java"))) {
            return files.filter(f -> f.toString().endsWith(".java")).toList();
        }
    }

    private static String code(Path file) throws IOException {
        return COMMENT.matcher(Files.readString(file)).replaceAll(" ");
    }

    private static Properties bundle(String path) throws IOException {
        Properties texts = new Properties();
        try (Reader in = Files.newBufferedReader(HOME.resolve(path))) {
            texts.load(in);
        }
        return texts;
    }

    @ParameterizedTest
    @ValueSource(strings = {"nosegay-desktop", "nosegay-cli", "nosegay-jobs"})
    void noTextStandsInTheCode(String module) throws IOException {
        List<String> found = new ArrayList<>();
        for (Path file : sources(module)) {
            if (SAMPLE_DATA.contains(file.getFileName().toString())) {
                continue;
            }
            String code = code(file);
            Matcher literals = LITERAL.matcher(code);
            while (literals.find()) {
                String text = literals.group(1);
                if (WORDS.matcher(text).find() && !TECHNICAL.matcher(text).matches()) {
                    found.add(file.getFileName() + ": " + text);
                }
            }
            SHOWN.matcher(code).results().forEach(r -> found.add(file.getFileName() + ": " + r.group()));
        }
        assertThat(found).as("texts that belong into messages.properties").isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "CoreText, nosegay-core, nosegay-core/src/main/resources/app/nosegay/text/messages.properties",
        "MediaText, nosegay-media, nosegay-media/src/main/resources/app/nosegay/media/messages.properties",
        "StandInText, nosegay-standins, nosegay-standins/src/main/resources/app/nosegay/standins/messages.properties",
        "JobText, nosegay-jobs, nosegay-jobs/src/main/resources/app/nosegay/jobs/messages.properties",
        "DesktopText, nosegay-desktop, nosegay-desktop/src/main/resources/app/nosegay/desktop/controls/messages.properties",
        "CliText, nosegay-cli, nosegay-cli/src/main/resources/app/nosegay/cli/messages.properties"
    })
    void everyKeyHasATextAndEveryTextIsUsed(String reader, String module, String path) throws IOException {
        Properties texts = bundle(path);
        Pattern use = Pattern.compile("\\b" + reader + "\\.of\\(\\s*\"([^\"]+)\"\\s*(\\+)?");
        Set<String> missing = new TreeSet<>();
        Set<String> unused = new TreeSet<>(texts.stringPropertyNames());
        // A reason is read by the code of its finding.
        unused.removeIf(k -> k.endsWith(".reason"));
        List<String> codes = new ArrayList<>();
        for (Path file : sources(module)) {
            String code = code(file);
            Matcher uses = use.matcher(code);
            while (uses.find()) {
                String key = uses.group(1);
                if (uses.group(2) != null) {
                    unused.removeIf(k -> k.startsWith(key));
                } else if (!texts.containsKey(key)) {
                    missing.add(key);
                }
                unused.remove(key);
            }
            // Texts that are asked for by the code of a finding: reader.of(code + ".message").
            if (code.contains(reader + ".of(code + ")) {
                LITERAL.matcher(code).results().map(r -> r.group(1)).forEach(codes::add);
            }
        }
        codes.forEach(c -> unused.removeAll(Set.of(c + ".message", c + ".fix")));
        assertThat(missing).as("keys without a text").isEmpty();
        assertThat(unused).as("texts nobody uses").isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "nosegay-core/src/main/resources/app/nosegay/text/messages.properties",
                "nosegay-media/src/main/resources/app/nosegay/media/messages.properties",
                "nosegay-standins/src/main/resources/app/nosegay/standins/messages.properties",
                "nosegay-jobs/src/main/resources/app/nosegay/jobs/messages.properties",
                "nosegay-desktop/src/main/resources/app/nosegay/desktop/controls/messages.properties",
                "nosegay-cli/src/main/resources/app/nosegay/cli/messages.properties"
            })
    void everyTextIsAPatternAndInOurWords(String path) throws IOException {
        List<String> wrong = new ArrayList<>();
        Pattern notOurs = Pattern.compile(
                "(?i)\\bmend|leave it as it is|bring in\\b|hand (?:it )?(?:in|out)\\b|strike out|take away|"
                        + "simulated camera| …|is in doubt|ticked");
        bundle(path).forEach((key, text) -> {
            new MessageFormat(text.toString(), Locale.ENGLISH);
            if (notOurs.matcher(text.toString()).find()) {
                wrong.add(key + "=" + text);
            }
        });
        assertThat(wrong).as("words CONTRIBUTING.md says otherwise").isEmpty();
    }

    @Test
    void everyFindingCodeHasItsReason() throws IOException {
        Properties texts = bundle("nosegay-core/src/main/resources/app/nosegay/text/messages.properties");
        Pattern raised =
                Pattern.compile("\"((?:plan|script|shoot|match|sound|dress|publish)\\.[a-z]+(?:-[a-z]+)*)\"\\s*[,:]");
        Set<String> codes = new TreeSet<>();
        for (Path file : sources("nosegay-core")) {
            raised.matcher(code(file)).results().map(r -> r.group(1)).forEach(codes::add);
        }
        assertThat(codes).hasSizeGreaterThan(60).allSatisfy(c -> assertThat(texts)
                .containsKey(c + ".reason"));
    }
}
