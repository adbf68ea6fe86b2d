package app.leeward.core.transfer;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.cue.Cue;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.DialEffect;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Look;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.text.Decimals;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Chooses what a contact sheet shows of a thing: a few poses in which it is seen best. */
final class SheetMaker {
    private static final List<Viseme> SOUNDS =
            List.of(Viseme.REST, Viseme.PBM, Viseme.AH, Viseme.EE, Viseme.OO, Viseme.FV);
    private static final int MOST = 6;
    private static final double ROOM = 0.25;

    private final Character from;
    private final Character after;
    private final Counterparts counterparts;

    SheetMaker(Character from, Character after, Counterparts counterparts) {
        this.from = from;
        this.after = after;
        this.counterparts = counterparts;
    }

    TransferSheet of(Look look) {
        Optional<Look> here = after.library().looks().stream()
                .filter(l ->
                        l.name().equalsIgnoreCase(look.name()) && l.collection().equals(look.collection()))
                .findFirst();
        return sheet(here.stream()
                .map(h -> inFace(
                        look.name(),
                        Pose.REST.withLooks(Map.of(look.id(), 1.0)),
                        Pose.REST.withLooks(Map.of(h.id(), 1.0))))
                .toList());
    }

    TransferSheet of(Cue cue) {
        Optional<Cue> here = after.library().cues().stream()
                .filter(c -> c.name().equalsIgnoreCase(cue.name()))
                .findFirst();
        List<TransferSheet.Cell> cells = new ArrayList<>();
        here.ifPresent(h -> {
            for (int i = 1; i <= 3; i++) {
                int frame = Math.min(cue.frames() - 1, Math.round(cue.frames() * i / 4f));
                cells.add(inFace(
                        "frame " + (frame + 1), Pose.REST.withCues(cue.at(frame)), Pose.REST.withCues(h.at(frame))));
            }
        });
        return sheet(cells);
    }

    TransferSheet of(Dial dial) {
        List<TransferSheet.Cell> cells = new ArrayList<>();
        counterparts.dial(dial.id()).flatMap(after::dial).ifPresent(here -> Stream.of(
                        dial.from(), dial.rest(), dial.to())
                .distinct()
                .forEach(v -> {
                    Pose a = Pose.of(Map.of(dial.id(), v));
                    Pose b = Pose.of(Map.of(here.id(), v));
                    String caption = Decimals.plain(v, 1) + dial.unit();
                    cells.add(onFace(dial) ? inFace(caption, a, b) : whole(caption, a, b));
                }));
        return sheet(cells);
    }

    private boolean onFace(Dial dial) {
        return dial.effects().stream().map(DialEffect::part).allMatch(p -> PartScale.within(from, p, PartRole.HEAD)
                .filter(h -> !h.equals(p))
                .isPresent());
    }

    TransferSheet mouths() {
        MouthChart chart = from.voice().mouths();
        String part = chart.part().orElseThrow();
        Map<String, String> captions = new LinkedHashMap<>();
        SOUNDS.forEach(
                v -> Optional.ofNullable(chart.drawn().get(v)).ifPresent(d -> captions.putIfAbsent(d, v.words())));
        chart.drawn().forEach((v, d) -> captions.putIfAbsent(d, v.words()));
        return drawings(part, after.voice().mouths().part().orElse(part), captions);
    }

    TransferSheet hand(Part hand) {
        Map<String, String> captions = new LinkedHashMap<>();
        hand.drawings().forEach(d -> captions.put(d.id(), d.name()));
        return drawings(hand.id(), counterparts.part(hand.id()).orElse(hand.id()), captions);
    }

    private TransferSheet drawings(String there, String here, Map<String, String> captions) {
        Map<String, String> both = new LinkedHashMap<>(captions);
        both.keySet().removeIf(d -> counterparts
                .drawing(there, d)
                .flatMap(id -> after.drawing(here, id))
                .isEmpty());
        List<Map.Entry<String, String>> shown =
                both.entrySet().stream().limit(MOST).toList();
        Optional<Box> a = box(from, there, shown.stream().map(Map.Entry::getKey).toList());
        Optional<Box> b = box(
                after,
                here,
                shown.stream()
                        .map(e -> counterparts.drawing(there, e.getKey()).orElseThrow())
                        .toList());
        if (a.isEmpty() || b.isEmpty()) {
            return sheet(List.of());
        }
        return sheet(shown.stream()
                .map(e -> new TransferSheet.Cell(
                        e.getValue(),
                        Pose.REST.withPins(Map.of(there, e.getKey())),
                        grown(a.get(), 2 * ROOM),
                        Pose.REST.withPins(Map.of(
                                here, counterparts.drawing(there, e.getKey()).orElseThrow())),
                        grown(b.get(), 2 * ROOM)))
                .toList());
    }

    private static Optional<Box> box(Character c, String part, List<String> drawings) {
        return drawings.stream()
                .flatMap(d -> c.drawing(part, d).map(Drawing::art).flatMap(a -> a.bounds()).stream())
                .reduce(Box::union);
    }

    TransferSheet part(Part part) {
        Optional<Box> a = from.rig().boundsWithFollowers(part.id());
        Optional<Box> b = counterparts.part(part.id()).flatMap(p -> after.rig().boundsWithFollowers(p));
        return sheet(
                a.isEmpty() || b.isEmpty()
                        ? List.of()
                        : List.of(new TransferSheet.Cell(
                                part.name(),
                                Pose.REST,
                                grown(a.get(), 2 * ROOM),
                                Pose.REST,
                                grown(b.get(), 2 * ROOM))));
    }

    private TransferSheet sheet(List<TransferSheet.Cell> cells) {
        return new TransferSheet(after, cells);
    }

    private TransferSheet.Cell inFace(String caption, Pose there, Pose here) {
        return new TransferSheet.Cell(
                caption,
                there,
                PartScale.face(from).map(b -> grown(b, ROOM)).orElseGet(() -> canvas(from)),
                here,
                PartScale.face(after).map(b -> grown(b, ROOM)).orElseGet(() -> canvas(after)));
    }

    private TransferSheet.Cell whole(String caption, Pose there, Pose here) {
        return new TransferSheet.Cell(caption, there, canvas(from), here, canvas(after));
    }

    private static Box canvas(Character c) {
        return new Box(0, 0, c.sheet().canvas().width(), c.sheet().canvas().height());
    }

    private static Box grown(Box b, double by) {
        double r = by * Math.max(b.width(), b.height());
        return new Box(b.minX() - r, b.minY() - r, b.maxX() + r, b.maxY() + r);
    }
}
