package app.nosegay.plan.terms;

import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * Someone in front of the camera or the microphone.
 *
 * @param name as written
 * @param roles what they do; empty words mean leading and moving
 * @param levels the levels they show
 * @param place their usual third of the frame
 */
public record Presenter(String name, Set<Role> roles, List<String> levels, Level.Place place) {
    public static final String EXPECTED = CoreText.of("plan.terms.presenter.presenters-such-as-fern-leads");

    /** What a presenter does. */
    public enum Role {
        LEADS,
        MOVES,
        NARRATES
    }

    public Presenter {
        roles = Set.copyOf(roles);
        levels = List.copyOf(levels);
    }

    /** Reads {@code NAME [leads] [moves] [narrates] [level NAME] [left|centre|right]}; never fails: other words belong to the name. */
    public static Presenter parse(String text) {
        Set<Role> roles = new LinkedHashSet<>();
        List<String> levels = new ArrayList<>();
        Level.Place place = Level.Place.CENTRE;
        StringBuilder name = new StringBuilder();
        String[] words = text.strip().split("\\s+");
        for (int i = 0; i < words.length; i++) {
            switch (words[i].toLowerCase(Locale.ROOT)) {
                case "leads" -> roles.add(Role.LEADS);
                case "moves" -> roles.add(Role.MOVES);
                case "narrates" -> roles.add(Role.NARRATES);
                case "left" -> place = Level.Place.LEFT;
                case "centre", "center" -> place = Level.Place.CENTRE;
                case "right" -> place = Level.Place.RIGHT;
                case "level" -> {
                    if (i + 1 < words.length) {
                        levels.add(words[++i]);
                    }
                }
                default -> name.append(name.isEmpty() ? "" : " ").append(words[i]);
            }
        }
        Set<Role> known = roles.isEmpty() ? Set.of(Role.LEADS, Role.MOVES) : roles;
        return new Presenter(name.toString(), known, levels, place);
    }
}
