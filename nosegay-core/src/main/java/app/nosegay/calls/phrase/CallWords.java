package app.nosegay.calls.phrase;

import java.util.List;
import java.util.regex.Pattern;

/** Lists of words that several rules for spoken calls share. */
public final class CallWords {
    public static final List<String> NTH = List.of(
            "first",
            "second",
            "third",
            "fourth",
            "fifth",
            "sixth",
            "seventh",
            "eighth",
            "ninth",
            "tenth",
            "eleventh",
            "twelfth");
    public static final Pattern OF_A_MOVE = Pattern.compile(
            "exercise|move|movement|number|station|drill|stretch|(?:first|second|third|fourth|fifth|sixth|"
                    + "last|final) 1|last but not least");
    /** What moves are called that no library knows: the last word, with one or two before it. */
    public static final String MOVE_WORDS =
            FirstLetters.of("squats?|lunges?|press(?:es)?|rows?|rowing|curls?|raises?|fl(?:y|ies|yes)|planks?|bridges?|"
                    + "thrusts?|thrusters?|deadlifts?|(?:push|press|sit|pull|step|chin) ups?|crunch(?:es)?|twists?|"
                    + "kick ?backs?|extensions?|pull ?(?:downs?|overs?|aparts?)|jacks?|climbers?|burpees?|bicycles|"
                    + "hammers|figure 4s?|(?:neck|chest|shoulder|back|lat|side|hip|hip flexor|flexor|glute|hamstring|"
                    + "quad|quadriceps|calf|triceps?|thigh|wrist|forearm|spinal) stretch(?:es)?|swimming|swimmers?|"
                    + "tendus?|releves?|arabesques?|renegades|swings?|cleans?|snatch(?:es)?|march(?:es)?|hinges?|"
                    + "dips?|crawls?|taps?|(?:dead ?)?bugs?|(?:bird ?|downward |down )dogs?|skaters?|(?:heel|leg|"
                    + "wall) slides?|(?:donkey|flutter|leg|scissor) kicks?|fire hydrants?|supermans?|inch ?worms?|"
                    + "walk ?outs?|(?:arm|leg|toe) reach(?:es)?|(?:toe|heel|ankle|knee|shoulder) touch(?:es)?|crushers?|"
                    + "shrugs?|wall sits?|sit to stands?|clams?|carry|carries|halos?|windmills?|get ups|turkish "
                    + "get ups?|v ups?|v sits?|circles?|clamshells?|(?:leg|thigh|hip|heel|arm|knee) lift|(?!(?:it|"
                    + "she|he|who|that|everything|also|then|leg|foot|heel|hip|chest|body) lifts (?:the|your|up|"
                    + "off|and))[a-z]+ lifts|plies|knee drives?|high knees|butt kicks?|(?:squat|box|tuck|broad|"
                    + "star|lunge) jumps?|good mornings?|cat cows?|step ?touch(?:es)?|side steps?|heel digs?|grape "
                    + "?vines?|frog pumps?|(?:shadow )?boxing|jab cross|upper ?cuts?|kick ?throughs?|(?:bear|hollow|"
                    + "squat|lunge) holds?|roll ?ups|(?:sit|shoot|pull) ?throughs?|wood ?chop(?:s|pers?)?|(?:monster|"
                    + "crab|duck|lateral|bear|band(?:ed)?) walks?|around the worlds?|warrior (?:1|2|3)|(?:warrior|"
                    + "chair|boat|bridge|triangle|pigeon|tree|cobra|crow|camel) pose");

    public static final List<String> VERBS = List.of(
            "up", "down", "lift", "press", "squat", "lunge", "row", "curl", "raise", "pull", "push", "swing", "march",
            "hold", "step", "punch", "twist", "jump", "run", "walk", "reach", "drive", "bend", "kick", "hinge", "open",
            "pulse", "hike", "tap", "roll", "rock", "crawl", "dip", "lower", "extend", "draw", "squeeze", "send",
            "float", "peel", "work", "clean", "thrust", "climb", "carry", "flex", "sit", "stand", "rotate", "circle",
            "flow", "move", "ride");
    public static final String ANY_VERB = "(?:" + String.join("|", VERBS) + ")";

    private CallWords() {}
}
