package app.leeward.core.rig;

import app.leeward.core.art.Box;
import app.leeward.core.art.Swatch;
import app.leeward.core.cue.Cue;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Corner;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Pad;
import app.leeward.core.dial.Travel;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.speech.Lexicon;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A cut-out character as it stands at one revision. Immutable; changed only by {@link Edit}s.
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
 * @param wrists where hand drawings meet their arm, as far as somebody said so or brought them there
 * @param stacks drawings that lie elsewhere in the stack than their part, at most one entry each
 * @param runs drawings that play one after the other
 * @param kits choices over several parts at once, in the order they are offered in
 * @param pastEdges parts that show only past the edge of another
 * @param wristBends hands whose wrists bend, at most one entry each
 * @param grips where hand drawings hold things, at most one entry each
 * @param held ids of parts that hang from the grip of the hand they follow, and show only where its drawing has one
 */
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
        Optional<ReadArt> source,
        List<Look> looks,
        List<Cue> cues,
        List<DrawingKey> keys,
        List<Corner> corners,
        Optional<TurnPlan> turn,
        Optional<ViewSet> views,
        List<DrawnWrist> wrists,
        List<Kit> kits,
        List<DrawnStack> stacks,
        List<DrawnRun> runs,
        List<PastEdge> pastEdges,
        List<WristBend> wristBends,
        List<DrawnGrip> grips,
        List<String> held) {
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
        wrists = wrists == null ? List.of() : List.copyOf(wrists);
        kits = kits == null ? List.of() : List.copyOf(kits);
        stacks = stacks == null ? List.of() : List.copyOf(stacks);
        runs = runs == null ? List.of() : List.copyOf(runs);
        pastEdges = pastEdges == null ? List.of() : List.copyOf(pastEdges);
        wristBends = wristBends == null ? List.of() : List.copyOf(wristBends);
        grips = grips == null ? List.of() : List.copyOf(grips);
        held = held == null ? List.of() : List.copyOf(held);
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
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
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

    /** Where a drawing of a hand holds things, when it does. */
    public Optional<DrawnGrip> grip(String part, String drawing) {
        return grips.stream()
                .filter(g -> g.part().equals(part) && g.drawing().equals(drawing))
                .findFirst();
    }

    /** The wrist of a drawing of a hand, where it is known. */
    public Optional<Wrist> wrist(String part, String drawing) {
        return wrists.stream()
                .filter(w -> w.part().equals(part) && w.drawing().equals(drawing))
                .map(DrawnWrist::wrist)
                .findFirst();
    }

    /** How a hand's wrist bends, when it does. */
    public Optional<WristBend> wristBend(String part) {
        return wristBends.stream().filter(b -> b.part().equals(part)).findFirst();
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

    public Character withName(String newName) {
        return with(d -> d.name = newName);
    }

    public Character withParts(List<Part> newParts) {
        return with(d -> d.parts = newParts);
    }

    public Character withCanvas(Canvas newCanvas) {
        return with(d -> d.canvas = newCanvas);
    }

    public Character withOrder(List<String> newOrder) {
        return with(d -> d.order = newOrder);
    }

    public Character withWindows(List<Window> newWindows) {
        return with(d -> d.windows = newWindows);
    }

    public Character withPalette(List<Swatch> newPalette) {
        return with(d -> d.palette = newPalette);
    }

    public Character withMouths(MouthChart chart) {
        return with(d -> d.mouths = chart);
    }

    public Character withLexicon(Lexicon newLexicon) {
        return with(d -> d.lexicon = newLexicon);
    }

    public Character withNotes(List<Note> newNotes) {
        return with(d -> d.notes = newNotes);
    }

    public Character withModel(Model newModel) {
        return with(d -> d.model = newModel);
    }

    public Character withLinks(List<MirrorLink> newLinks) {
        return with(d -> d.links = newLinks);
    }

    public Character withSource(Optional<ReadArt> newSource) {
        return with(d -> d.source = newSource);
    }

    public Character withDials(List<Dial> newDials, List<Pad> newPads) {
        return with(d -> {
            d.dials = newDials;
            d.pads = newPads;
        });
    }

    public Character withLooks(List<Look> newLooks) {
        return with(d -> d.looks = newLooks);
    }

    public Character withCues(List<Cue> newCues) {
        return with(d -> d.cues = newCues);
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
        return with(d -> {
            d.parts = more;
            d.order = stacked;
        });
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
                .withWrists(wrists.stream().filter(w -> !w.part().equals(id)).toList())
                .withRuns(runs.stream().filter(r -> !r.part().equals(id)).toList())
                .withPastEdges(pastEdges.stream()
                        .filter(e -> !e.part().equals(id) && !e.by().equals(id))
                        .toList())
                .withWristBends(
                        wristBends.stream().filter(b -> !b.part().equals(id)).toList())
                .withGrips(grips.stream().filter(g -> !g.part().equals(id)).toList())
                .withHeld(held.stream().filter(h -> !h.equals(id)).toList())
                .withStacks(stacks.stream()
                        .filter(s -> !s.part().equals(id) && !s.over().equals(id))
                        .toList())
                .withCorners(corners.stream()
                        .map(k -> k.without(id))
                        .filter(k -> !k.offsets().isEmpty())
                        .toList())
                .only(
                        parts.stream().filter(p -> !p.id().equals(id)).toList(),
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
        return with(d -> {
            d.parts = keptParts;
            d.order = keptOrder;
        });
    }

    public Character withKeys(List<DrawingKey> newKeys) {
        return with(d -> d.keys = newKeys);
    }

    public Character withCorners(List<Corner> newCorners) {
        return with(d -> d.corners = newCorners);
    }

    public Character withTurn(TurnPlan plan) {
        return withTurn(Optional.of(plan));
    }

    public Character withTurn(Optional<TurnPlan> plan) {
        return with(d -> d.turn = plan);
    }

    public Character withViews(Optional<ViewSet> set) {
        return with(d -> d.views = set);
    }

    public Character withRuns(List<DrawnRun> newRuns) {
        return with(d -> d.runs = newRuns);
    }

    public Character withStacks(List<DrawnStack> newStacks) {
        return with(d -> d.stacks = newStacks);
    }

    public Character withPastEdges(List<PastEdge> all) {
        return with(d -> d.pastEdges = all);
    }

    public Character withWristBends(List<WristBend> all) {
        return with(d -> d.wristBends = all);
    }

    public Character withGrips(List<DrawnGrip> all) {
        return with(d -> d.grips = all);
    }

    public Character withHeld(List<String> all) {
        return with(d -> d.held = all);
    }

    public Character withKits(List<Kit> newKits) {
        return with(d -> d.kits = newKits);
    }

    public Character withWrists(List<DrawnWrist> newWrists) {
        return with(d -> d.wrists = newWrists);
    }

    private Character with(Consumer<Draft> change) {
        Draft draft = new Draft(this);
        change.accept(draft);
        return draft.done();
    }

    /** A character while some of it is being replaced. */
    private static final class Draft {
        private String name;
        private Canvas canvas;
        private int frameRate;
        private List<Swatch> palette;
        private List<Part> parts;
        private List<String> order;
        private List<Window> windows;
        private List<Dial> dials;
        private List<Pad> pads;
        private MouthChart mouths;
        private Lexicon lexicon;
        private List<Note> notes;
        private Model model;
        private List<MirrorLink> links;
        private Optional<ReadArt> source;
        private List<Look> looks;
        private List<Cue> cues;
        private List<DrawingKey> keys;
        private List<Corner> corners;
        private Optional<TurnPlan> turn;
        private Optional<ViewSet> views;
        private List<DrawnWrist> wrists;
        private List<Kit> kits;
        private List<DrawnStack> stacks;
        private List<DrawnRun> runs;
        private List<PastEdge> pastEdges;
        private List<WristBend> wristBends;
        private List<DrawnGrip> grips;
        private List<String> held;

        Draft(Character c) {
            name = c.name;
            canvas = c.canvas;
            frameRate = c.frameRate;
            palette = c.palette;
            parts = c.parts;
            order = c.order;
            windows = c.windows;
            dials = c.dials;
            pads = c.pads;
            mouths = c.mouths;
            lexicon = c.lexicon;
            notes = c.notes;
            model = c.model;
            links = c.links;
            source = c.source;
            looks = c.looks;
            cues = c.cues;
            keys = c.keys;
            corners = c.corners;
            turn = c.turn;
            views = c.views;
            wrists = c.wrists;
            kits = c.kits;
            stacks = c.stacks;
            runs = c.runs;
            pastEdges = c.pastEdges;
            wristBends = c.wristBends;
            grips = c.grips;
            held = c.held;
        }

        Character done() {
            return new Character(
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
                    model,
                    links,
                    source,
                    looks,
                    cues,
                    keys,
                    corners,
                    turn,
                    views,
                    wrists,
                    kits,
                    stacks,
                    runs,
                    pastEdges,
                    wristBends,
                    grips,
                    held);
        }
    }
}
