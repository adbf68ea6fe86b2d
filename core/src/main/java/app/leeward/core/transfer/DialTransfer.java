package app.leeward.core.transfer;

import app.leeward.core.dial.Band;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.DialEffect;
import app.leeward.core.dial.DrawingEffect;
import app.leeward.core.dial.Driver;
import app.leeward.core.dial.LayerEffect;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.OutlineEffect;
import app.leeward.core.dial.PointDeltas;
import app.leeward.core.dial.PoseEffect;
import app.leeward.core.dial.Purpose;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Part;
import app.leeward.core.text.Decimals;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** A dial that poses another character's parts: lengths as large as things are there, turns and factors as they are. */
final class DialTransfer {
    private final Character from;
    private final Character to;
    private final Counterparts counterparts;
    private final List<String> noPart = new ArrayList<>();
    private final List<String> noDrawing = new ArrayList<>();
    private final List<String> otherOutline = new ArrayList<>();
    /** How much each part's lengths are scaled, in words, to the names of the parts. */
    private final Map<String, Set<String>> scales = new TreeMap<>();

    DialTransfer(Character from, Character to, Counterparts counterparts) {
        this.from = from;
        this.to = to;
        this.counterparts = counterparts;
    }

    /** Whether a dial is of a kind that is taken at all: turns and gazes are made from a head's own shape. */
    static boolean taken(Character c, Dial d) {
        boolean view = c.controls().views().filter(v -> v.dial().equals(d.id())).isPresent();
        return !view
                && switch (d.purpose()) {
                    case BLINK, ACTION_UNIT, OWN -> true;
                    case TURN, NOD, GAZE_ACROSS, GAZE_DOWN -> false;
                };
    }

    Taken of(Dial dial) {
        List<DialEffect> effects = new ArrayList<>();
        dial.effects().forEach(e -> there(e).ifPresent(effects::add));
        if (effects.isEmpty()) {
            String missing = Counterparts.names(from, noPart.isEmpty() ? parts(dial) : noPart);
            return Taken.nothing(
                    to, missing.isEmpty() ? "It does nothing." : "What it moves is not there: " + missing + ".");
        }
        Optional<Dial> own = counterparts.dial(dial.id()).flatMap(to::dial);
        Set<String> ids = to.controls().dials().stream().map(Dial::id).collect(Collectors.toSet());
        String id = own.map(Dial::id).orElseGet(() -> Ids.unused(dial.id(), ids));
        Dial made = dial.withEffects(effects.stream()).with(d -> d.id(id)
                .name(own.map(Dial::name).orElseGet(() -> free(dial.name())))
                .hangsOn(dial.hangsOn().flatMap(counterparts::part))
                .follows(followed(dial)));
        List<Dial> dials = new ArrayList<>(to.controls().dials());
        if (own.isPresent()) {
            dials.replaceAll(d -> d.id().equals(id) ? made : d);
        } else {
            dials.add(made);
        }
        counterparts.putDial(dial.id(), id);
        List<String> facts = facts(dial, made, own.isPresent());
        boolean whole = noPart.isEmpty() && noDrawing.isEmpty() && otherOutline.isEmpty();
        TransferItem.Fitting fitting = own.isPresent()
                ? TransferItem.Fitting.REPLACES
                : whole ? TransferItem.Fitting.WHOLE : TransferItem.Fitting.PARTLY;
        return new Taken(to.withControls(c -> c.withDials(dials)), fitting, facts);
    }

    private String free(String name) {
        Set<String> names = to.controls().dials().stream().map(Dial::name).collect(Collectors.toSet());
        String now = name;
        for (int n = 2; names.contains(now); n++) {
            now = name + " " + n;
        }
        return now;
    }

    private static List<String> parts(Dial d) {
        return d.effects().stream().map(DialEffect::part).distinct().toList();
    }

    private List<Driver> followed(Dial dial) {
        return dial.follows().stream()
                .flatMap(f ->
                        counterparts.dial(f.leader()).map(l -> new Driver(l, f.below(), f.above(), f.later())).stream())
                .toList();
    }

    private List<String> facts(Dial dial, Dial made, boolean own) {
        List<String> facts = new ArrayList<>();
        if (own) {
            facts.add("It stands in the place of “" + made.name() + "”, which looks and shots go on using.");
        }
        facts.add("Moves " + Counterparts.names(to, parts(made)) + ".");
        if (!scales.isEmpty()) {
            facts.add(scaled());
        }
        if (!noPart.isEmpty()) {
            facts.add("Not there, left out: " + Counterparts.names(from, noPart) + ".");
        }
        if (!noDrawing.isEmpty()) {
            facts.add("Has not the drawings it exchanges, left out: " + Counterparts.names(from, noDrawing) + ".");
        }
        if (!otherOutline.isEmpty()) {
            facts.add("Drawn with other points, so its outline is not reshaped: "
                    + Counterparts.names(from, otherOutline) + ".");
        }
        long lost = dial.follows().size() - made.follows().size();
        if (lost > 0) {
            facts.add(lost == 1 ? "The dial it follows is not there." : lost + " dials it follows are not there.");
        }
        return facts;
    }

    private Optional<DialEffect> there(DialEffect effect) {
        Optional<String> part = counterparts.part(effect.part());
        if (part.isEmpty()) {
            noPart.add(effect.part());
            return Optional.empty();
        }
        PartScale scale = PartScale.of(from, effect.part(), to, part.get());
        if (effect instanceof PoseEffect p) {
            return Optional.of(pose(p, part.get(), scale));
        }
        if (effect instanceof OutlineEffect o) {
            return outline(o, part.get(), scale);
        }
        if (effect instanceof DrawingEffect d) {
            return bands(d.bands(), part.get(), b -> counterparts.drawing(effect.part(), b))
                    .map(DrawingEffect::new);
        }
        LayerEffect l = (LayerEffect) effect;
        return bands(l.layers(), part.get(), b -> b.equals(Dial.BACK) ? Optional.of(b) : counterparts.part(b))
                .map(LayerEffect::new);
    }

    private DialEffect pose(PoseEffect p, String part, PartScale scale) {
        Map<Double, Offset> at = new TreeMap<>();
        p.at().forEach((v, o) -> at.put(v, scale.offset(o)));
        tell(part, scale);
        // earlier pivots are the other character's own: it turns about the pivot there is
        return new PoseEffect(part, at, Optional.empty());
    }

    private void tell(String part, PartScale scale) {
        if (Math.abs(scale.x() - 1) > 0.005 || Math.abs(scale.y() - 1) > 0.005) {
            String x = Decimals.plain(scale.x() * 100, 0);
            String y = Decimals.plain(scale.y() * 100, 0);
            String words = x.equals(y) ? x + " %" : x + " % across and " + y + " % down";
            scales.computeIfAbsent(words, w -> new TreeSet<>())
                    .add(to.part(part).map(Part::name).orElse(part));
        }
    }

    /** Scaled to 170 %. Or, where parts go by different things: Scaled: left lid to 60 %, brows to 120 %. */
    private String scaled() {
        if (scales.size() == 1) {
            return "Scaled to " + scales.keySet().iterator().next() + ".";
        }
        return scales.entrySet().stream()
                .map(e -> {
                    List<String> names = List.copyOf(e.getValue());
                    String of = names.size() <= 2
                            ? String.join(" and ", names)
                            : names.get(0) + " and " + (names.size() - 1) + " more";
                    return of + " to " + e.getKey();
                })
                .collect(Collectors.joining("; ", "Scaled: ", "."));
    }

    private Optional<DialEffect> outline(OutlineEffect o, String part, PartScale scale) {
        Map<Double, List<PointDeltas>> at = new TreeMap<>();
        o.at().forEach((v, all) -> {
            List<PointDeltas> fit = all.stream()
                    .flatMap(d -> counterparts
                            .drawing(o.part(), d.drawing())
                            .flatMap(id -> to.drawing(part, id))
                            .filter(drawing ->
                                    d.shape() < drawing.art().shapes().size()
                                            && d.fits(drawing.art()
                                                    .shapes()
                                                    .get(d.shape())
                                                    .path()))
                            .map(drawing -> scale.deltas(d, drawing.id()))
                            .stream())
                    .toList();
            if (fit.size() < all.size()) {
                otherOutline.add(o.part());
            }
            if (!fit.isEmpty()) {
                at.put(v, fit);
            }
        });
        if (!at.isEmpty()) {
            tell(part, scale);
        }
        return at.isEmpty() ? Optional.empty() : Optional.of(new OutlineEffect(part, at));
    }

    private interface Naming {
        Optional<String> of(String id);
    }

    private Optional<Bands> bands(Bands bands, String part, Naming naming) {
        List<Band> fit = new ArrayList<>();
        for (Band b : bands.bands()) {
            Optional<String> id = naming.of(b.drawing()).filter(i -> !i.equals(part));
            if (id.isPresent()) {
                fit.add(new Band(b.from(), b.to(), id.get()));
            } else {
                noDrawing.add(bands.part());
            }
        }
        return fit.isEmpty() ? Optional.empty() : Optional.of(new Bands(part, fit));
    }

    /** Whether values of one dial are degrees or the like, which mean the same on any head. */
    static boolean sameUnit(Dial a, Dial b) {
        return !a.unit().isBlank() && a.unit().equals(b.unit()) && a.purpose() != Purpose.OWN;
    }
}
