package app.leeward.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Window;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MeantByPlaceTest {
    private static Character hung(String head, Layer... more) {
        List<Layer> all = new ArrayList<>(List.of(
                Rigs.layer(head, Rigs.ellipse(500, 500, 100, 120)),
                Rigs.layer("eye white left", Rigs.ellipse(540, 480, 20, 15)),
                Rigs.layer("eye white right", Rigs.ellipse(460, 480, 20, 15)),
                Rigs.layer("mouth", Rigs.box(480, 570, 40, 4))));
        all.addAll(List.of(more));
        return Rigs.hung(Rigs.group("", all.toArray(new Layer[0])));
    }

    private static Part lyingAt(Character c, double y) {
        return c.rig().parts().stream()
                .filter(p -> p.bounds()
                        .filter(b -> Math.abs(b.centre().y() - y) < 1 && b.width() < 40)
                        .isPresent())
                .findFirst()
                .orElseThrow();
    }

    /** A layer that is called a skull, on a pirate's hat: the head is the one with the eyes on it. */
    @ParameterizedTest
    @CsvSource({"head, skull", "head, little face", "face, skull"})
    void anEmblemIsNoSkin(String head, String emblem) {
        Character c = hung(
                head,
                Rigs.layer("hat", Rigs.box(390, 320, 220, 90)),
                Rigs.layer(emblem, Rigs.ellipse(500, 360, 15, 15)));
        Part skin = c.part(PartRole.FACE).orElseThrow();
        assertThat(skin.bounds().orElseThrow().width()).isEqualTo(200);
        Part sewn = lyingAt(c, 360);
        assertThat(sewn.role()).isEqualTo(PartRole.OTHER);
        assertThat(c.part(sewn.parent().orElseThrow()).orElseThrow().role()).isEqualTo(PartRole.CAP);
        assertThat(c.rig().windows()).noneMatch(w -> w.masked().contains(sewn.id()));
    }

    @Test
    void aSkinWithoutEyesOnItStaysWhereThereIsNoOther() {
        Character c = Rigs.hung(Rigs.group(
                "",
                Rigs.layer("skull", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.layer("nose", Rigs.box(490, 500, 20, 30))));
        assertThat(c.part(PartRole.FACE)).isPresent();
    }

    @Test
    void whatLiesOnAHatHangsOnItsUppermostPieceAndWhatLiesUnderItDoesNot() {
        Character c = hung(
                "face",
                Rigs.layer("freckle thing", Rigs.box(495, 395, 10, 8)),
                Rigs.layer("hat", Rigs.box(390, 320, 220, 90)),
                Rigs.layer("hat band", Rigs.box(390, 380, 220, 30)),
                Rigs.layer("token", Rigs.ellipse(450, 395, 9, 9)),
                Rigs.layer("pipe", Rigs.box(520, 580, 30, 8)));
        Part token = c.rig().parts().stream()
                .filter(p -> p.name().equals("token"))
                .findFirst()
                .orElseThrow();
        assertThat(c.part(token.parent().orElseThrow()).orElseThrow().role()).isEqualTo(PartRole.CAP_BAND);
        assertThat(c.rig().parts().stream()
                        .filter(p -> p.name().equals("pipe") || p.name().equals("freckle thing"))
                        .map(p -> c.part(p.parent().orElseThrow()).orElseThrow().role()))
                .isNotEmpty()
                .doesNotContain(PartRole.CAP, PartRole.CAP_BAND);
        assertThat(c.rig().windows().stream().map(Window::masked)).noneMatch(m -> m.contains(token.id()));
    }
}
