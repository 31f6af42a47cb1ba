package app.nosegay.listen;

import edu.cmu.sphinx.linguist.dictionary.Dictionary;
import edu.cmu.sphinx.linguist.language.grammar.Grammar;
import edu.cmu.sphinx.linguist.language.grammar.GrammarNode;
import java.util.List;

/**
 * Any number of the given lines, each from the start of one of its clauses to the end of another, in any order. Made by the recogniser's
 * set-up.
 */
public final class LineGrammar extends Grammar {
    /** The recogniser is set up with some line, whatever it is. */
    private List<List<List<String>>> lines = List.of(List.of(List.of("rest")));

    /** From now on listens for these: lines of clauses of words, as {@link LineDictionary} knows them. */
    void listenFor(List<List<List<String>>> wanted) {
        lines = wanted;
        initialNode = createGrammar();
        postProcessGrammar();
    }

    @Override
    protected GrammarNode createGrammar() {
        newGrammar();
        // The recogniser wants to begin with a sound.
        initialNode = createGrammarNode(Dictionary.SILENCE_SPELLING);
        GrammarNode first = createGrammarNode(false);
        GrammarNode end = createGrammarNode(false);
        GrammarNode last = createGrammarNode(true);
        initialNode.add(first, 0);
        end.add(last, 0);
        for (List<List<String>> clauses : lines) {
            GrammarNode before = null;
            for (List<String> clause : clauses) {
                GrammarNode entry = createGrammarNode(false);
                first.add(entry, 0);
                if (before != null) {
                    before.add(entry, 0);
                }
                before = entry;
                for (String word : clause) {
                    GrammarNode node = createGrammarNode(word);
                    before.add(node, 0);
                    before = node;
                }
                GrammarNode exit = createGrammarNode(false);
                before.add(exit, 0);
                exit.add(end, 0);
                before = exit;
            }
        }
        end.add(first, 0);
        return initialNode;
    }
}
