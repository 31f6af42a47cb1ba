package app.nosegay.desktop.controls;

import java.util.Locale;
import javafx.util.StringConverter;

/** Shows the values of an enumeration as words: {@code TOP_LEFT} as "top left". */
public final class EnumWords<E extends Enum<E>> extends StringConverter<E> {
    private final Class<E> type;

    public EnumWords(Class<E> type) {
        this.type = type;
    }

    @Override
    public String toString(E value) {
        return value == null ? "" : value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    @Override
    public E fromString(String words) {
        return Enum.valueOf(type, words.toUpperCase(Locale.ROOT).replace(' ', '_'));
    }
}
