package app.leeward.core.rig;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Grip;
import app.leeward.core.art.Swatch;
import app.leeward.core.art.Wrist;
import app.leeward.core.cue.Cue;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Corrective;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Pad;
import app.leeward.core.dial.Travel;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.speech.Lexicon;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A cut-out character as it stands at one revision. Immutable; changed only by edits.
 *
 * @param frameRate frames a second
 * @param order part ids back to front, independent of who follows whom; exactly the ids of {@code parts}
 * @param notes what the reader of the art had to say
 * @param model the axis of symmetry and the model lines every view is stood to
 * @param links which parts are kept as mirror images of each other
 * @param source the art as the designer's file had it when it was last read
 * @param looks expressions kept by name
 * @param cues small animations kept by name
 * @param keys which keys show which drawings; no key twice
 * @param corners corrections at pairs of dial values
 * @param turn how the head turn was made from the art, when it was
 * @param views whole sub-faces that a dial exchanges, when it has such
 * @param kits choices over several parts at once, in the order they are offered in
 */
@RecordBuilder
public record Character(
        String name,
        Canvas canvas,
        int frameRate,
        List<Swatch> palette,
        List<Part> parts,
        List<String> order,
        List<Window> windows,
        List<Dial> dials,
        List<Pad> pads,
        MouthChart mouths,
        Lexicon lexicon,
        List<Note> notes,
        Model model,
        List<MirrorLink> links,
        Optional<ImportedSource> source,
        List<Look> looks,
        List<Cue> cues,
        List<DrawingKey> keys,
        List<Corrective> corners,
        Optional<TurnPlan> turn,
        Optional<ViewSet> views,
        List<Kit> kits)
        implements CharacterBuilder.With {
    public Character {
        palette = List.copyOf(palette);
        parts = List.copyOf(parts);
        order = List.copyOf(order);
        windows = List.copyOf(windows);
        dials = List.copyOf(dials);
        pads = List.copyOf(pads);
        notes = List.copyOf(notes);
        // stored before there were such things
        model = model == null ? Model.of(canvas) : model;
        links = links == null ? List.of() : List.copyOf(links);
        source = source == null ? Optional.empty() : source;
        looks = looks == null ? List.of() : List.copyOf(looks);
        cues = cues == null ? List.of() : List.copyOf(cues);
        keys = keys == null ? List.of() : List.copyOf(keys);
        corners = corners == null ? List.of() : List.copyOf(corners);
        turn = turn == null ? Optional.empty() : turn;
        views = views == null ? Optional.empty() : views;
        kits = kits == null ? List.of() : List.copyOf(kits);
        if (name.isBlank()) {
            throw new IllegalArgumentException("a character needs a name");
        }
        if (frameRate < 1 || frameRate > 120) {
            throw new IllegalArgumentException("frame rate must be 1 to 120, not " + frameRate);
        }
        requireSoundTree(parts, order);
    }

    /** A character whose axis is the canvas's middle, with nothing linked. */
    public Character(
            String name,
            Canvas canvas,
            int frameRate,
            List<Swatch> palette,
            List<Part> parts,
            List<String> order,
            List<Window> windows,
            List<Dial> dials,
            List<Pad> pads,
            MouthChart mouths,
            Lexicon lexicon,
            List<Note> notes) {
        this(
                name,
                canvas,
                frameRate,
                palette,
                parts,
                order,
                windows,
                dials,
                pads,
                mouths,
                lexicon,
                notes,
                Model.of(canvas),
                List.of(),
                Optional.empty(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                List.of());
    }

    private static void requireSoundTree(List<Part> parts, List<String> order) {
        Map<String, Part> byId = new HashMap<>();
        for (Part p : parts) {
            if (byId.put(p.id(), p) != null) {
                throw new IllegalArgumentException("two parts have the id '" + p.id() + "'");
            }
        }
        if (order.size() != parts.size() || !byId.keySet().equals(new HashSet<>(order))) {
            throw new IllegalArgumentException("the stacking order must name every part once");
        }
        for (Part p : parts) {
            Set<String> seen = new HashSet<>();
            Part at = p;
            while (at.parent().isPresent()) {
                if (!seen.add(at.id())) {
                    throw new IllegalArgumentException("'" + p.name() + "' would follow itself");
                }
                String parent = at.parent().get();
                at = byId.get(parent);
                if (at == null) {
                    throw new IllegalArgumentException(
                            "'" + p.name() + "' follows '" + parent + "', which is not there");
                }
            }
        }
    }

    public Optional<Part> part(String id) {
        return parts.stream().filter(p -> p.id().equals(id)).findFirst();
    }

    /** The first part in this role and on this side. */
    public Optional<Part> part(PartRole role, Side side) {
        return parts.stream().filter(p -> p.role() == role && p.side() == side).findFirst();
    }

    /** The first part in this role, whatever its side. */
    public Optional<Part> part(PartRole role) {
        return parts.stream().filter(p -> p.role() == role).findFirst();
    }

    public Optional<Dial> dial(String id) {
        return dials.stream().filter(d -> d.id().equals(id)).findFirst();
    }

    /** Ids of dials that do not glide from key to key. */
    public Set<String> straightDials() {
        return dials.stream()
                .filter(d -> d.travels() == Travel.STRAIGHT)
                .map(Dial::id)
                .collect(Collectors.toSet());
    }

    public Optional<Look> look(String id) {
        return looks.stream().filter(l -> l.id().equals(id)).findFirst();
    }

    public Optional<Cue> cue(String id) {
        return cues.stream().filter(q -> q.id().equals(id)).findFirst();
    }

    /** Everything at rest, but the view shown that a part belongs to. */
    public Pose showing(String part) {
        return views.flatMap(v -> Optional.ofNullable(v.membership(parts).get(part))
                        .filter(root -> !root.equals(v.main().root()))
                        .flatMap(v::shown)
                        .map(b -> Pose.of(Map.of(v.dial(), b.middle()))))
                .orElse(Pose.REST);
    }

    /** Everything at rest, but the view shown that is shown in a pose. */
    public Pose resting(Pose pose) {
        return views.flatMap(
                        v -> Optional.ofNullable(pose.dials().get(v.dial())).map(at -> Pose.of(Map.of(v.dial(), at))))
                .orElse(Pose.REST);
    }

    /** The body and the view that stands for all; every part of a character without views. */
    public List<Part> mainParts() {
        return views.map(v -> {
                    Map<String, String> of = v.membership(parts);
                    String main = v.main().root();
                    return parts.stream()
                            .filter(p -> of.getOrDefault(p.id(), main).equals(main))
                            .toList();
                })
                .orElse(parts);
    }

    public List<Part> childrenOf(String id) {
        return parts.stream().filter(p -> p.parent().equals(Optional.of(id))).toList();
    }

    /** Whether {@code part} is {@code above} or follows it, however far down. */
    public boolean follows(String part, String above) {
        Optional<String> at = Optional.of(part);
        while (at.isPresent()) {
            if (at.get().equals(above)) {
                return true;
            }
            at = part(at.get()).flatMap(Part::parent);
        }
        return false;
    }

    /** A drawing of a part, when both are there. */
    public Optional<Drawing> drawing(String part, String drawing) {
        return part(part).flatMap(p -> p.drawing(drawing));
    }

    /** Where a drawing of a hand holds things, when it does. */
    public Optional<Grip> grip(String part, String drawing) {
        return drawing(part, drawing).flatMap(Drawing::grip);
    }

    /** The wrist of a drawing of a hand, where it is known. */
    public Optional<Wrist> wrist(String part, String drawing) {
        return drawing(part, drawing).flatMap(Drawing::wrist);
    }

    /** How a hand's wrist bends, when it does. */
    public Optional<WristBend> wristBend(String part) {
        return part(part).flatMap(Part::wristBend);
    }

    /** The runs of all parts. */
    public List<DrawnRun> runs() {
        return parts.stream().flatMap(p -> p.runs().stream()).toList();
    }

    /** The part whose drawings a run plays. */
    public Optional<Part> playedBy(String run) {
        return parts.stream()
                .filter(p -> p.runs().stream().anyMatch(r -> r.id().equals(run)))
                .findFirst();
    }

    /** The link that joins a part to its other side, when it has one that holds. */
    public Optional<MirrorLink> linkOf(String id) {
        return links.stream().filter(l -> l.joins(id)).findFirst();
    }

    /** Bounds of what a part and all that follow it show at rest, by their art alone. */
    public Optional<Box> boundsWithFollowers(String id) {
        Stream<Box> own = part(id).flatMap(Part::bounds).stream();
        Stream<Box> followers = childrenOf(id).stream().flatMap(p -> boundsWithFollowers(p.id()).stream());
        return Stream.concat(own, followers).reduce(Box::union);
    }

    public Character withDials(List<Dial> newDials, List<Pad> newPads) {
        return with(c -> c.dials(newDials).pads(newPads));
    }

    /** With every part changed alike. */
    public Character withEachPart(UnaryOperator<Part> change) {
        return withParts(parts.stream().map(change).toList());
    }

    public Character withPart(String id, UnaryOperator<Part> change) {
        return withParts(
                parts.stream().map(p -> p.id().equals(id) ? change.apply(p) : p).toList());
    }

    /** @param at where in the stacking order it goes, 0 for the back */
    public Character withNewPart(Part part, int at) {
        List<Part> more = new ArrayList<>(parts);
        more.add(part);
        List<String> stacked = new ArrayList<>(order);
        stacked.add(at, part.id());
        return with(c -> c.parts(more).order(stacked));
    }

    /** Without a part that nothing follows, and without all that was said about it. */
    public Character withoutPart(String id) {
        List<Dial> left = dials.stream()
                .map(d -> d.withStops(d.stops().stream().map(s -> s.without(id)).toList())
                        .withBands(d.bands().stream()
                                .filter(b -> !b.part().equals(id))
                                .toList())
                        .withLayers(withoutLayer(d.layers(), id))
                        // what hung on it is found where it hung itself
                        .hangingOn(d.hangsOn().equals(Optional.of(id)) ? part(id).flatMap(Part::parent) : d.hangsOn()))
                .toList();
        List<Window> open = windows.stream()
                .filter(w -> !w.by().equals(id))
                .map(w -> new Window(
                        w.by(), w.masked().stream().filter(m -> !m.equals(id)).toList()))
                .filter(w -> !w.masked().isEmpty())
                .toList();
        boolean mouth = mouths.part().equals(Optional.of(id));
        return withDials(left, pads)
                .withViews(views.flatMap(v -> v.view(id).isPresent() ? v.without(id) : Optional.of(v)))
                .withWindows(open)
                .withLinks(links.stream().filter(l -> !l.joins(id)).toList())
                .withMouths(mouth ? MouthChart.EMPTY : mouths)
                .withKeys(keys.stream().filter(k -> !k.part().equals(id)).toList())
                .withCorners(corners.stream()
                        .map(k -> k.without(id))
                        .filter(k -> !k.offsets().isEmpty())
                        .toList())
                .only(
                        parts.stream()
                                .filter(p -> !p.id().equals(id))
                                .map(p -> p.forgetting(id))
                                .toList(),
                        order.stream().filter(o -> !o.equals(id)).toList());
    }

    private static List<Bands> withoutLayer(List<Bands> layers, String id) {
        return layers.stream()
                .filter(b -> !b.part().equals(id))
                .map(b -> new Bands(
                        b.part(),
                        b.bands().stream().filter(x -> !x.drawing().equals(id)).toList()))
                .filter(b -> !b.bands().isEmpty())
                .toList();
    }

    /** Values at which a dial exchanges some drawing or the whole head, in rising order. */
    public List<Double> exchanges(Dial dial) {
        Stream<Double> heads = views.filter(v -> v.dial().equals(dial.id())).stream()
                .flatMap(v -> v.bands().stream().skip(1).map(ViewBand::from));
        return Stream.concat(dial.edges().stream(), heads).distinct().sorted().toList();
    }

    private Character only(List<Part> keptParts, List<String> keptOrder) {
        return with(c -> c.parts(keptParts).order(keptOrder));
    }

    public Character withTurn(TurnPlan plan) {
        return withTurn(Optional.of(plan));
    }
}
