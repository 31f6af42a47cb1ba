package app.nosegay.plan;

import app.nosegay.text.CoreText;
import java.util.Set;
import java.util.stream.Collectors;

/** Why each finding matters, for people: the texts that end in {@code .reason}. */
public final class FindingReasons {
    private static final String ENDING = ".reason";

    private FindingReasons() {}

    /** The reason of a finding code; empty when none is known. */
    public static String of(String code) {
        return CoreText.find(code + ENDING);
    }

    /** Every finding code there is. */
    public static Set<String> codes() {
        return CoreText.keys().stream()
                .filter(k -> k.endsWith(ENDING))
                .map(k -> k.substring(0, k.length() - ENDING.length()))
                .collect(Collectors.toSet());
    }
}
