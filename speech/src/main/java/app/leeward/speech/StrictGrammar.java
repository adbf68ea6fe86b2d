package app.leeward.speech;

import edu.cmu.sphinx.linguist.language.grammar.Grammar;
import edu.cmu.sphinx.linguist.language.grammar.GrammarNode;
import edu.cmu.sphinx.util.LogMath;
import java.util.List;

/**
 * The words of one line, each exactly once and in order, with silence allowed between them. Public because the library
 * makes it by name.
 */
public final class StrictGrammar extends Grammar {
    private List<String> words = List.of();

    void setWords(List<String> newWords) {
        words = List.copyOf(newWords);
        // without this the nodes of every line spoken so far would pile up
        newGrammar();
        createGrammar();
        postProcessGrammar();
    }

    @Override
    protected GrammarNode createGrammar() {
        initialNode = createGrammarNode(edu.cmu.sphinx.linguist.dictionary.Dictionary.SILENCE_SPELLING);
        GrammarNode last = createGrammarNode(true);
        GrammarNode before = initialNode;
        for (String word : words) {
            GrammarNode node = createGrammarNode(word);
            before.add(node, LogMath.LOG_ONE);
            before = node;
        }
        before.add(last, LogMath.LOG_ONE);
        return initialNode;
    }
}
