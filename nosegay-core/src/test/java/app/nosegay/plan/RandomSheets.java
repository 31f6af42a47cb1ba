package app.nosegay.plan;

import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;

/** Made-up sheets for laws that hold for every sheet; each line alone is well formed. */
public final class RandomSheets {
    private static final List<String> MOVES = List.of(
            "goblet squat", "push-up", "reverse lunge", "single-arm row", "plank", "band pull-apart", "some new move");

    private RandomSheets() {}

    /** One move line with its line end. */
    public static Arbitrary<String> moves() {
        Arbitrary<String> sides =
                Arbitraries.of("", "  sides halves", "  sides separate", "  sides alternate", "  sides rounds");
        Arbitrary<String> ends = Arbitraries.of(
                "", "", "  reps 12", "  reps 7 each-side", "  hold 0:20", "  work 0:25", "  demo before");
        return Combinators.combine(Arbitraries.of(MOVES), sides, ends).as((m, s, e) -> "  " + m + s + e + "\n");
    }

    private static Arbitrary<String> blocks() {
        Arbitrary<String> heads = Arbitraries.of(
                "circuit Ring  rounds 3  work 0:30  rest 0:15\n",
                "circuit Ring  rounds 2  work 0:41  rest 0:07  round-rest 1:00\n",
                "superset Pair  sets 2  reps 9  rest 0:45\n",
                "straight-sets Plain  sets 3  reps 10,8,6  rest 1:00-2:00\n",
                "amrap Last  work 1:00\n",
                "every-minute Top  minutes 4  reps 10\n",
                "build Up  work 0:40  rest 0:15\n",
                "warm-up  each 0:30\n",
                "circuit Chain  rounds 1  work 0:30  rest 0:10  sides chain\n");
        Arbitrary<String> withMoves = Combinators.combine(
                        heads, moves().list().ofMinSize(1).ofMaxSize(4))
                .as((h, m) -> h + String.join("", m));
        return Arbitraries.oneOf(
                withMoves, Arbitraries.of("talk Words  0:20\n", "rest 0:45\n", "rest as-needed ~0:40\n"));
    }

    /** A whole sheet of one to six blocks. */
    public static Arbitrary<String> sheets() {
        return blocks().list().ofMinSize(1).ofMaxSize(6).map(b -> "title: T\n" + String.join("", b));
    }
}
