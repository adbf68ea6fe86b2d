package app.leeward.server.config;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.check.Checks;
import app.leeward.core.check.Finding;
import app.leeward.core.dial.Dial;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.mouth.Mood;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Kit;
import app.leeward.core.rig.StackingOrder;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.svg.SvgReader;
import org.junit.jupiter.api.Test;

/** Maren arrives finished: no check has anything to say, and whatever a bench makes is there. */
class DemoSetupTest {
    private static Character read() {
        LayeredArt art = SvgReader.read(DemoFiles.maren());
        Character hung = ((IntakeResult.Hung) art.assembled("Maren", 24)).character();
        return hung.withRig(rig -> rig.withOrder(StackingOrder.byRole(hung)));
    }

    @Test
    void theRiggedOneHasEverythingAndNothingWrong() {
        Character maren = DemoSetup.rig(read());
        assertThat(Checks.all(maren))
                .filteredOn(f -> f.accepted().isEmpty())
                .extracting(Finding::message)
                .isEmpty();
        assertThat(maren.review().accepted()).hasSize(2);
        assertThat(maren.voice().mouths().moods()).extracting(Mood::name).containsExactly("Happy", "Sad");
        assertThat(maren.voice().mouths().drawn()).containsOnlyKeys(Viseme.values());
        assertThat(maren.library().looks()).hasSize(6);
        assertThat(maren.library().cues()).hasSize(4);
        assertThat(maren.library().kits())
                .extracting(Kit::key)
                .doesNotContain("")
                .doesNotHaveDuplicates();
        assertThat(maren.library().keys()).hasSize(8);
        assertThat(maren.controls().dials())
                .extracting(Dial::id)
                .contains("turn", "nod", "tilt", "blink", "squint", "brow-raise", "gaze-across", "gaze-down");
    }

    @Test
    void theDressedOneHasHerKitsAndIsNotRigged() {
        Character maren = DemoSetup.dress(read());
        assertThat(maren.library().kits()).hasSize(4);
        assertThat(maren.library().looks()).isEmpty();
    }
}
