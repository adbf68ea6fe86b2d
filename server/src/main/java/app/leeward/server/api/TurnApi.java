package app.leeward.server.api;

import app.leeward.core.art.Point;
import app.leeward.core.dial.Dial;
import app.leeward.core.eval.Asymmetry;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.SolidKind;
import app.leeward.core.rig.TurnPlan;
import app.leeward.core.solid.HeadSolids;
import app.leeward.core.turn.ExactTurn;
import app.leeward.core.turn.HeadDial;
import app.leeward.core.turn.NosePieces;
import app.leeward.core.turn.SideOn;
import app.leeward.core.turn.TurnAngle;
import app.leeward.core.turn.TurnCheck;
import app.leeward.core.turn.TurnMaker;
import app.leeward.core.turn.TurnNotes;
import app.leeward.core.turn.TurnRange;
import app.leeward.core.turn.ViewCheck;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.Problem;
import app.leeward.server.studio.Snapshot;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The head turn: its film strip, what it hides and uncovers, and dials played there and back. */
@RestController
@RequestMapping("/api/v1/characters/{id}")
@Tag(name = "turn")
class TurnApi {
    private static final int FEWEST = 3;
    private static final int MOST = 25;
    /** Places of the dial at which what is hidden and bald is measured. */
    private static final int MEASURED = 9;

    private final Characters characters;

    TurnApi(Characters characters) {
        this.characters = characters;
    }

    /** @param pictures how many, evenly from end to end: 3 to 25 */
    public record StripBody(PoseBody pose, int pictures) {}

    /**
     * The turn of a head.
     *
     * @param made whether there is a turn dial
     * @param shape what it was made from, or would be; none without a head with a face on it
     * @param angle what a place of the dial is in degrees of the head; none without a turn dial that moves pieces
     * @param bears how far the head bears to be turned and what gives way beyond; none without a head
     * @param notes what the turn leaves as it is, or takes along less well than it might, and why
     * @param drawnAngle degrees the head most likely is turned as it was drawn; none for one drawn from the front
     * @param byHand how many poses, outlines and bands were shaped by hand since it was made
     * @param pieces what each piece of the head is in the round
     * @param kinds what a piece can be said to be
     * @param side the head seen from its side, facing left, in half widths across and heights down
     * @param halfWidth half the head's width, canvas units; 0 without a head
     * @param strip the head from end to end in the pose asked for; none without a turn dial
     * @param measured what is hidden and bald at places along the dial
     * @param uneven where the halves differ most; none when they are alike
     * @param offered dials around the head that could be made and are not there
     * @param edges what jumps where one view of the head gives way to the next; none for a head that slides
     * @param refused why no turn can be made, told before anybody asks for one; none where one can be, or there is one
     * @param nosePieces whether the nose can be taken apart, so that its profile shows past the face's edge
     * @param offModel how far the views stand off the model lines, in words; empty where they do not
     */
    public record TurnView(
            int revision,
            boolean made,
            List<HeadShape> shape,
            Optional<TurnAngle> angle,
            Optional<TurnRange> bears,
            List<TurnNotes.TurnNote> notes,
            Optional<Double> drawnAngle,
            int byHand,
            List<HeadSolids.SolidPiece> pieces,
            List<SolidChoice> kinds,
            List<Point> side,
            double halfWidth,
            List<TurnCheck.Position> measured,
            List<Asymmetry> uneven,
            List<OfferedDial> offered,
            List<ViewCheck.Edge> edges,
            Optional<String> offModel,
            Optional<String> refused,
            boolean nosePieces) {}

    /** What a piece of a head can be in the round, in a rigger's words. */
    public record SolidChoice(SolidKind kind, String words) {}

    /** A dial around the head that could be made. */
    public record OfferedDial(HeadDial dial, String name) {}

    @GetMapping("/turn")
    TurnView turn(@PathVariable UUID id) {
        Snapshot<Character> standing = characters.snapshot(id);
        Character c = standing.state();
        Optional<Dial> dial = c.dial(TurnMaker.DIAL);
        boolean slides = c.controls().views().isEmpty();
        Optional<HeadShape> shape = !slides
                ? Optional.empty()
                : c.controls().turn().map(TurnPlan::shape).or(() -> TurnMaker.fitted(c));
        Optional<HeadSolids> solids = shape.flatMap(s -> HeadSolids.of(c, s));
        Optional<TurnAngle> angle = dial.flatMap(d -> shape.map(s -> TurnAngle.of(d, s)));
        boolean fromFront = shape.filter(s -> s.drawn() == 0).isPresent();
        return new TurnView(
                standing.revision(),
                dial.isPresent(),
                shape.stream().toList(),
                angle,
                solids.map(s -> TurnRange.of(c, s)),
                solids.map(s -> TurnNotes.of(
                                c,
                                s,
                                dial.flatMap(d -> angle.map(a -> a.at(d.to()))).orElse(TurnMaker.FULL)))
                        .orElse(List.of()),
                shape.flatMap(s -> HeadSolids.drawnAngle(c, s)),
                dial.isPresent() ? TurnMaker.keptByHand(c) : 0,
                solids.map(HeadSolids::entries).orElse(List.of()),
                Arrays.stream(SolidKind.values())
                        .map(k -> new SolidChoice(k, k.words()))
                        .toList(),
                solids.map(HeadSolids::sideView).orElse(List.of()),
                solids.map(HeadSolids::halfWidth).orElse(0.0),
                dial.filter(d -> slides)
                        .map(d -> characters.turnMeasured(standing, places(d, MEASURED)))
                        .orElse(List.of()),
                dial.filter(d -> fromFront).flatMap(d -> Asymmetry.of(c, d)).stream()
                        .toList(),
                Arrays.stream(HeadDial.values())
                        .filter(h -> c.dial(h.id()).isEmpty() && h.addTo(c).isPresent())
                        .map(h -> new OfferedDial(h, h.words()))
                        .toList(),
                ViewCheck.of(c),
                ViewCheck.offModel(c),
                dial.isEmpty() && slides && SideOn.drawn(c) ? Optional.of(SideOn.WHY) : Optional.empty(),
                NosePieces.canBe(c));
    }

    /**
     * The turn as the solids have it, without stops between.
     *
     * @param at places of the dial from end to end
     * @param frames the head at each of them
     * @param strays for each picture how far the dial's own way lies off at the most, as a share of the head's width
     * @param furthest for each picture the piece with that point; empty where all lie on it
     */
    public record ExactView(
            int revision, List<Double> at, List<Frame> frames, List<Double> strays, List<String> furthest) {}

    /** The head turned by its solids alone, to be held beside what its stops make of it. */
    @PostMapping("/turn/exact")
    ExactView exact(@PathVariable UUID id, @RequestBody StripBody body) {
        Snapshot<Character> standing = characters.snapshot(id);
        Character c = standing.state();
        Dial dial = c.dial(TurnMaker.DIAL).orElseThrow(() -> Problem.notThere("dial"));
        int n = Math.max(FEWEST, Math.min(MOST, body.pictures()));
        List<ExactTurn.Step> steps = ExactTurn.of(c, PoseBody.of(body.pose()), places(dial, n));
        return new ExactView(
                standing.revision(),
                steps.stream().map(ExactTurn.Step::at).toList(),
                steps.stream().map(ExactTurn.Step::frame).toList(),
                steps.stream().map(ExactTurn.Step::strays).toList(),
                steps.stream().map(s -> s.furthest().orElse("")).toList());
    }

    private static List<Double> places(Dial d, int n) {
        List<Double> at = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            at.add(d.from() + (d.to() - d.from()) * i / (n - 1));
        }
        return at;
    }
}
