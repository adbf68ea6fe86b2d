package app.leeward.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.MouthTrack;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.shot.Shot;
import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TypicalDurations;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Words said without a recording. Sounds after the CMU dictionary; durations as {@link TypicalDurations} says. */
class SpeakerTest {
    private static final Speaker SPEAKER = new Speaker(new LineReader());

    private static List<Phone> phones(String text) {
        return SPEAKER.say(text, 1, Lexicon.EMPTY).line().phones().stream()
                .map(TimedPhone::phone)
                .toList();
    }

    @Test
    void wordsAreSaidWithTheDictionarysSounds() {
        assertThat(phones("mop")).containsExactly(Phone.M, Phone.AA, Phone.P);
        assertThat(phones("/M AA P/")).containsExactly(Phone.M, Phone.AA, Phone.P);
    }

    /** Ordinary speech is about 150 words a minute (common figure, no source); pauses and long words pull either way. */
    @Test
    void thePaceIsThatOfSpeech() {
        Said said =
                SPEAKER.say("Good morning! The six forty boat to Sorrel is ready at the far pier.", 1, Lexicon.EMPTY);
        double perMinute = said.line().words().size() / said.line().seconds() * 60;
        assertThat(perMinute).isBetween(110.0, 210.0);
        Said twice =
                SPEAKER.say("Good morning! The six forty boat to Sorrel is ready at the far pier.", 2, Lexicon.EMPTY);
        assertThat(twice.line().seconds() - 0.6).isCloseTo((said.line().seconds() - 0.6) / 2, within(1e-9));
    }

    @Test
    void pausesFollowCommasAndSentences() {
        List<TimedPhone> p = SPEAKER.say("Go, go. Go", 1, Lexicon.EMPTY).line().phones();
        assertThat(p.get(2).start() - p.get(1).end()).isCloseTo(TypicalDurations.COMMA, within(1e-9));
        assertThat(p.get(4).start() - p.get(3).end()).isCloseTo(TypicalDurations.SENTENCE, within(1e-9));
    }

    @Test
    void aWordInAnotherScriptIsNamedAndTheRestIsSaid() {
        Said said = SPEAKER.say("good утро now", 1, Lexicon.EMPTY);
        assertThat(said.skipped()).singleElement().asString().contains("утро");
        assertThat(said.line().words()).hasSize(2);
        assertThatThrownBy(() -> SPEAKER.say("утро", 1, Lexicon.EMPTY)).hasMessageContaining("утро");
        assertThatThrownBy(() -> SPEAKER.say(" ", 1, Lexicon.EMPTY)).hasMessageContaining("Type some words");
        assertThatThrownBy(() -> SPEAKER.say("/M QX/", 1, Lexicon.EMPTY)).hasMessageContaining("'QX'");
        assertThatThrownBy(() -> SPEAKER.say("go", 9, Lexicon.EMPTY)).hasMessageContaining("9.0");
        assertThatThrownBy(() -> SPEAKER.say("go ".repeat(121), 1, Lexicon.EMPTY))
                .hasMessageContaining("120");
    }

    @Test
    void aCrewsOwnWordGoesBeforeTheDictionaryAndAnUnknownOneIsAGuess() {
        Lexicon own = Lexicon.EMPTY.with("mop", List.of(Phone.P, Phone.AA, Phone.M));
        assertThat(SPEAKER.say("mop", 1, own).line().phones().get(0).phone()).isEqualTo(Phone.P);
        assertThat(SPEAKER.say("flumbledore", 1, Lexicon.EMPTY).line().guesses())
                .hasSize(1);
        assertThat(SPEAKER.say("mop", 1, own).line().guesses()).isEmpty();
    }

    /** What is said goes through the same rules as a recorded line: closures are seen. */
    @Test
    void theMouthsFollow() {
        MouthChart chart =
                new MouthChart(Optional.of("m"), Map.of(Viseme.REST, "rest", Viseme.PBM, "closed", Viseme.AH, "wide"));
        Shot shot = new Shot("x", SPEAKER.say("mop", 1, Lexicon.EMPTY).line(), TrackRules.at(24), Map.of());
        MouthTrack track = shot.mouths(chart);
        assertThat(track.broken()).isEmpty();
        assertThat(track.drawings()).startsWith("rest").endsWith("rest").contains("closed", "wide");
        assertThat(track.drawings().indexOf("closed"))
                .isLessThan(track.drawings().indexOf("wide"));
    }
}
