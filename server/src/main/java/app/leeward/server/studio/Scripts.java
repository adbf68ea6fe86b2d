package app.leeward.server.studio;

import app.leeward.core.speech.Lexicon;
import app.leeward.server.store.ReadingRow;
import app.leeward.speech.LineReader;
import app.leeward.speech.Listening;
import app.leeward.speech.SpeechProblem;
import app.leeward.speech.WavFile;
import app.leeward.speech.acoustic.LongSound;
import app.leeward.speech.script.CutPlaces;
import app.leeward.speech.script.ScriptLine;
import app.leeward.speech.script.ScriptReader;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Finds the lines of scripts in recordings of many. */
@Service
class Scripts {
    private final LineReader reader;
    private final Characters characters;

    Scripts(LineReader reader, Characters characters) {
        this.reader = reader;
        this.characters = characters;
    }

    /**
     * Refuses a script whose lines cannot be read out.
     *
     * @throws Problem whose place is the name of the line it is about
     */
    void require(AskedScript script, Lexicon lexicon) {
        if (script.lines().isEmpty() || script.lines().size() > ScriptReader.MOST_LINES) {
            throw Problem.refused("script-none", "A script has 1 to " + ScriptReader.MOST_LINES + " lines.");
        }
        for (AskedScript.Line line : script.lines()) {
            try {
                reader.requireReadable(Lines.within(line.words()), WavFile.LONGEST, lexicon);
            } catch (SpeechProblem e) {
                throw new Problem(
                        HttpStatus.UNPROCESSABLE_ENTITY, e.code(), line.name(), line.name() + ": " + e.getMessage());
            }
            boolean timed = line.from() != null && line.to() != null && line.from() >= 0 && line.to() > line.from();
            if (script.byTimes() && !timed) {
                throw new Problem(
                        HttpStatus.UNPROCESSABLE_ENTITY,
                        "script-time",
                        line.name(),
                        line.name() + ": it has no time; leave it out, or have the lines found by their words.");
            }
        }
    }

    /** Where the lines of a script lie in a recording. */
    List<CutPlaces.Cut> cuts(ReadingRow asked, AskedScript script, LongSound sound, Listening listening) {
        if (script.byTimes()) {
            return CutPlaces.byTimes(
                    script.lines().stream()
                            .map(l -> new ScriptLine.Times(l.from(), l.to()))
                            .toList(),
                    sound,
                    listening);
        }
        Lexicon lexicon = characters.snapshot(asked.character()).state().voice().lexicon();
        List<String> words =
                script.lines().stream().map(AskedScript.Line::words).toList();
        return CutPlaces.around(
                Lines.heard(() -> reader.find(words, sound, lexicon, script.everyTake(), listening)), sound);
    }
}
