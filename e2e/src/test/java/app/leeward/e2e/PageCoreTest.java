package app.leeward.e2e;

import static app.leeward.e2e.PageAnswers.alike;
import static app.leeward.e2e.PageAnswers.same;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.art.Artwork;
import app.leeward.core.cue.Blink;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.KeepKit;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.Nudge;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.HeldDrawing;
import app.leeward.core.shot.KitSpan;
import app.leeward.core.shot.LayoutEdit;
import app.leeward.core.shot.LookSpan;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.shot.Strip;
import app.leeward.core.shot.Track;
import app.leeward.core.shot.Way;
import app.leeward.formats.json.ArtworkStore;
import app.leeward.formats.json.LeewardJson;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * One truth: random poses of the demo's characters, a line and seeded faces, worked out by the page's core in Chromium and by the
 * server's classes here. Everything must be the same; the numbers to a billionth, outlines to the four decimals they are sent with.
 */
class PageCoreTest extends Story {
    private static final int FACES = 12;
    private static final int POSES = 120;

    /** What runs in the page: the core it loaded itself, told to open a character and to work out what is asked. */
    private static final String RUN =
            """
            async text => {
              const asked = JSON.parse(text);
              const url = performance.getEntriesByType('resource').map(r => r.name).find(n => n.includes('page-core'));
              const core = await import(url);
              const open = core.open(asked.character, asked.artwork, null);
              const line = asked.shot ? open.line(asked.shot) : null;
              const frame = (of, l, p) => l ? l.frame(p.frame, p.pose) : of.frame(p.pose);
              return JSON.stringify({
                sources: core.sources(),
                frames: asked.poses.map(p => frame(open, line, p)),
                reasons: asked.poses.map(p => line ? line.why(p.frame, p.part, p.pose) : open.why(p.part, p.pose)),
                joints: open.joints(asked.poses[0].pose),
                drafts: asked.drafts.map(edit => {
                  const after = open.draft(edit).after();
                  return frame(after, line && line.with(after), asked.poses[1]);
                }),
              });
            }
            """;

    private final Map<String, Artwork> art = new HashMap<>();
    private final Map<Artwork, String> hashes = new IdentityHashMap<>();
    private final ObjectMapper json = LeewardJson.mapper(new ArtworkStore() {
        @Override
        public void put(Artwork drawn, String hash, String text) {
            Artwork kept = LeewardJson.artwork(text);
            art.put(hash, kept);
            hashes.put(kept, hash);
        }

        @Override
        public Optional<String> known(Artwork drawn) {
            return Optional.ofNullable(hashes.get(drawn));
        }

        @Override
        public Artwork get(String hash) {
            return art.get(hash);
        }
    });

    private int compared;

    private JsonNode ask(String path) throws Exception {
        return json.readTree(server.body("/api/v1" + path));
    }

    @Test
    void thePageWorksOutWhatTheServerDoes() throws Exception {
        page.waitForFunction("() => performance.getEntriesByType('resource').some(r => r.name.includes('page-core'))");
        for (JsonNode item : ask("/characters?size=200").get("items")) {
            String id = item.get("id").asText();
            JsonNode character = ask("/characters/" + id).get("character");
            JsonNode artwork = ask("/characters/" + id + "/artwork");
            compare(character, artwork, Optional.empty(), POSES);
            for (JsonNode line : ask("/characters/" + id + "/lines?size=200").get("items")) {
                JsonNode shot = ask("/lines/" + line.get("id").asText()).get("shot");
                compare(character, artwork, Optional.of(shot), POSES);
            }
        }
        for (long seed = 700; seed < 700 + FACES; seed++) {
            Optional<Character> face = RiggedFace.of(seed).map(RiggedFace::character);
            if (face.isPresent()) {
                ObjectNode artwork = json.createObjectNode();
                JsonNode character = json.valueToTree(face.get());
                for (Part p : face.get().rig().parts()) {
                    p.drawings().forEach(d -> {
                        String hash = json.valueToTree(d.art()).asText();
                        artwork.set(hash, json.valueToTree(art.get(hash).shapes()));
                    });
                }
                compare(character, artwork, Optional.empty(), POSES);
            }
        }
        assertThat(compared).isGreaterThanOrEqualTo(2_000);
    }

    /** What runs in the page: a shot acted there, edit by edit. */
    private static final String ACT =
            """
            async text => {
              const asked = JSON.parse(text);
              const url = performance.getEntriesByType('resource').map(r => r.name).find(n => n.includes('page-core'));
              const core = await import(url);
              let line = core.open(asked.character, asked.artwork, null).line(asked.shot);
              const shots = [];
              let known = asked.shot;
              let spared = 0;
              for (const edit of asked.edits) {
                const draft = line.draft(edit);
                const before = line;
                line = draft.after() ?? line;
                // what has not changed is taken from the shot before, as the page does
                const { shot, dials, drawings, keyed } = line.changes(before);
                for (const id of keyed) shot.tracks.dials[id] = line.keys(id);
                for (const id of dials) shot.tracks.dials[id] = known.tracks.dials[id];
                for (const id of drawings) shot.tracks.drawings[id] = known.tracks.drawings[id];
                spared += dials.length + drawings.length;
                known = shot;
                shots.push(draft.refused() || shot);
              }
              return JSON.stringify({
                shots,
                spared,
                frames: asked.frames.map(f => line.frame(f, {})),
                plain: line.plain().frame(asked.frames[0], {}),
                values: [...line.values('turn')],
                keyed: line.keyed(30),
                copied: line.copy([{ sort: 'DIAL', of: 'turn' }, { sort: 'LOOKS', of: '' }], 5, 40),
              });
            }
            """;

    @Test
    void aShotIsActedInThePageAsItIsOnTheServer() throws Exception {
        page.waitForFunction("() => performance.getEntriesByType('resource').some(r => r.name.includes('page-core'))");
        String id = "";
        for (JsonNode item : ask("/characters?size=200").get("items")) {
            id = item.get("name").asText().equals("Maren Quill")
                    ? item.get("id").asText()
                    : id;
        }
        JsonNode sent = ask("/characters/" + id).get("character");
        JsonNode artwork = ask("/characters/" + id + "/artwork");
        JsonNode spoken = ask("/lines/"
                        + ask("/characters/" + id + "/lines").at("/items/0/id").asText())
                .get("shot");
        ObjectMapper lenient = json.copy().disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES);
        artwork.properties()
                .forEach(a -> art.computeIfAbsent(a.getKey(), hash -> {
                    ObjectNode whole = json.createObjectNode();
                    whole.set("shapes", a.getValue());
                    return LeewardJson.artwork(whole.toString());
                }));
        Character c =
                ((Outcome.Done) Edits.apply(lenient.treeToValue(sent, Character.class), new MakeLooks())).character();
        Part hand = c.part("hand-right").orElseThrow();
        c = ((Outcome.Done)
                        Edits.apply(c, new KeepKit("Mask", "", Map.of("cap", Part.NOTHING, "hand-left", Part.NOTHING))))
                .character();
        sent = json.valueToTree(c);
        Shot shot = lenient.treeToValue(spoken, Shot.class);
        List<Track> tracks = List.of(Track.dial("turn"), Track.of(Track.Sort.LOOKS), Track.of(Track.Sort.BLINKS));
        String look = c.library().looks().get(0).id();
        List<ShotEdit> edits = new ArrayList<>(List.of(
                new ActingEdit.SetKeys(Map.of(
                        "turn",
                        List.of(
                                new DialKey(0, 0, Way.SMOOTH),
                                new DialKey(12, -30, new Way.Curve(0.2, 0.9, 0.3, 1)),
                                new DialKey(30, 20, Way.EVEN, -6, Optional.empty()),
                                new DialKey(50, 0, Way.HOLD)))),
                new ActingEdit.SetLook(-1, new LookSpan(10, 60, look, 6, 8, 0.8)),
                new ShotEdit.SetBlink(-1, Blink.at(20)),
                new ActingEdit.MoveFrames(tracks, 10, 40, 5),
                new ActingEdit.SetKeys(Map.of("turn", List.of(new DialKey(5000, 0, Way.HOLD)))),
                new ActingEdit.StretchFrames(tracks, 0, 20, 31),
                new ActingEdit.InsertFrames(tracks, 8, 3),
                new ActingEdit.WearKit(
                        -1, new KitSpan(5, 42, c.library().kits().get(0).id())),
                new ActingEdit.HoldDrawing(
                        hand.id(),
                        new HeldDrawing(20, 24, hand.drawings().get(1).id(), 3)),
                new ActingEdit.HoldDrawing(
                        hand.id(),
                        new HeldDrawing(24, 60, hand.drawings().get(2).id(), 9)),
                new LayoutEdit.SetFrameRate(30, false),
                new LayoutEdit.SetFrameRate(30, true)));
        ObjectNode question = json.createObjectNode();
        question.set("character", sent);
        question.set("artwork", artwork);
        question.set("shot", spoken);
        ArrayNode list = question.putArray("edits");
        for (ShotEdit e : edits) {
            list.add(json.readTree(json.writerFor(ShotEdit.class).writeValueAsString(e)));
        }
        List<Integer> frames = List.of(33, 0, 5, 14, 22, 41, 55, 70, 99);
        question.set("frames", json.valueToTree(frames));
        JsonNode told = json.readTree((String) page.evaluate(ACT, question.toString()));
        assertThat(told.get("spared").asInt())
                .as("tracks that were not written again")
                .isPositive();
        Shot here = shot;
        for (int i = 0; i < edits.size(); i++) {
            JsonNode there = told.get("shots").get(i);
            try {
                here = edits.get(i).apply(here);
                alike("after " + edits.get(i), json.valueToTree(here), there);
            } catch (Refusal e) {
                assertThat(there.asText()).isEqualTo(e.getMessage());
            }
        }
        Evaluator face = new Evaluator(c);
        Playhead playhead = new Playhead(face, here);
        for (int i = 0; i < frames.size(); i++) {
            same(
                    "acted, frame " + frames.get(i),
                    playhead.frameAt(frames.get(i), Pose.REST),
                    told.get("frames").get(i));
        }
        Shot plain = here.withTracks(here.tracks()
                .withKeys("turn", List.of())
                .withDrawings(Map.of())
                .withKits(List.of())
                .withLooks(List.of()));
        same("not acted", new Playhead(face, plain).frameAt(33, Pose.REST), told.get("plain"));
        double[] values = playhead.valuesOf("turn");
        for (int f = 0; f < values.length; f++) {
            assertThat(told.get("values").get(f).asDouble()).isCloseTo(values[f], within(1e-9));
        }
        assertThat(told.at("/keyed/turn").asDouble())
                .isCloseTo(playhead.keyedAt(30).get("turn"), within(1e-9));
        alike("copied", json.valueToTree(Strip.copied(here, tracks.subList(0, 2), 5, 40)), told.get("copied"));
    }

    @Test
    void withoutItsRulesThePageGoesOnAndSaysSo() {
        try (Browser other = new Browser()) {
            other.page.route("**/page-core*.js", Route::abort);
            other.open(server.url() + "/#b=turn");
            PlaywrightAssertions.assertThat(other.page.getByRole(AriaRole.ALERT))
                    .containsText("could not load its rules");
            String before = other.transform("nose");
            other.page.getByLabel("Turn, value").first().fill("30");
            other.page.getByLabel("Turn, value").first().press("Enter");
            other.page.waitForFunction(
                    "t => document.querySelector('[data-testid=stage] [data-part=nose]').getAttribute('transform') !== t",
                    before);
            assertThat(other.errors).isEmpty();
        }
    }

    @Test
    void anEditIsSeenBeforeTheServerAnswersAndTakenBackWhenItRefuses() {
        page.getByTestId("stage").waitFor();
        hand.bench("Parts").click();
        page.locator("[data-testid=rigging] [data-node=nose]").click(new Locator.ClickOptions().setForce(true));
        hand.settle();
        String before = hand.transform("nose");
        List<Route> held = new ArrayList<>();
        page.route("**/edits", held::add);
        page.keyboard().press("ArrowRight");
        page.waitForFunction(
                "t => document.querySelector('[data-testid=stage] [data-part=nose]').getAttribute('transform') !== t",
                before);
        String moved = hand.transform("nose");
        // a row of presses is one edit, made after a pause
        page.waitForCondition(() -> !held.isEmpty());
        page.keyboard().press("ArrowRight");
        page.waitForFunction(
                "t => document.querySelector('[data-testid=stage] [data-part=nose]').getAttribute('transform') !== t",
                moved);
        assertThat(held).as("one at a time, and not answered yet").hasSize(1);
        held.remove(0)
                .fulfill(new Route.FulfillOptions()
                        .setStatus(422)
                        .setContentType("application/problem+json")
                        .setBody("{\"code\":\"too-far\",\"detail\":\"Not today.\"}"));
        PlaywrightAssertions.assertThat(page.getByText("Not today.")).isVisible();
        // the second one is still ahead, without the first
        page.waitForFunction(
                "t => document.querySelector('[data-testid=stage] [data-part=nose]').getAttribute('transform') === t",
                moved);
        page.waitForCondition(() -> !held.isEmpty());
        held.remove(0).resume();
        page.unroute("**/edits");
        hand.settle();
        assertThat(hand.transform("nose")).isEqualTo(moved);
        page.keyboard().press("Control+z");
        page.waitForFunction(
                "t => document.querySelector('[data-testid=stage] [data-part=nose]').getAttribute('transform') === t",
                before);
    }

    /** @param sent the character as the page gets it */
    private void compare(JsonNode sent, JsonNode artwork, Optional<JsonNode> spoken, int poses) throws Exception {
        ObjectMapper lenient = json.copy().disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES);
        artwork.properties()
                .forEach(a -> art.computeIfAbsent(a.getKey(), hash -> {
                    ObjectNode whole = json.createObjectNode();
                    whole.set("shapes", a.getValue());
                    return LeewardJson.artwork(whole.toString());
                }));
        Character c = lenient.treeToValue(sent, Character.class);
        Evaluator here = new Evaluator(c);
        Optional<Playhead> playhead = spoken.isPresent()
                ? Optional.of(new Playhead(here, lenient.treeToValue(spoken.get(), Shot.class)))
                : Optional.empty();
        Random random = new Random(c.rig().parts().size());
        List<Asked> asked = new ArrayList<>();
        for (int i = 0; i < poses; i++) {
            asked.add(Asked.of(c, playhead, random));
        }
        List<Edit> drafts = c.rig().parts().stream()
                .limit(4)
                .map(p -> (Edit) new Nudge(p.id(), 3.5, -2))
                .toList();
        ObjectNode question = json.createObjectNode();
        question.set("character", sent);
        question.set("artwork", artwork);
        spoken.ifPresent(s -> question.set("shot", s));
        ArrayNode list = question.putArray("poses");
        asked.forEach(a -> list.add(a.body(json)));
        ArrayNode edits = question.putArray("drafts");
        for (Edit e : drafts) {
            edits.add(json.readTree(json.writerFor(Edit.class).writeValueAsString(e)));
        }
        JsonNode told = json.readTree((String) page.evaluate(RUN, question.toString()));

        assertThat(told.get("sources").asText())
                .as("the page's core and the server are built from the same sources")
                .isEqualTo(server.header("/api/v1/characters", "Leeward-Rules"));
        for (int i = 0; i < poses; i++) {
            String what = c.name() + ", pose " + i + " " + asked.get(i);
            Pose pose = asked.get(i).pose(playhead);
            same(what, here.frame(pose), told.get("frames").get(i));
            alike(
                    what + ", why " + asked.get(i).part,
                    json.valueToTree(here.why(asked.get(i).part, pose)),
                    told.get("reasons").get(i));
            compared++;
        }
        alike(c.name() + ", joints", json.valueToTree(here.joints(asked.get(0).pose)), told.get("joints"), 1e-3);
        for (int i = 0; i < drafts.size(); i++) {
            Character after = ((Outcome.Done) Edits.draft(c, drafts.get(i))).character();
            Evaluator drafted = new Evaluator(after);
            Pose pose = asked.get(1).pose(playhead.map(p -> p.with(drafted)));
            same(
                    c.name() + ", draft " + drafts.get(i),
                    drafted.frame(pose),
                    told.get("drafts").get(i));
        }
    }

    /** Something to be worked out. */
    private record Asked(
            Map<String, Double> dials,
            Map<String, String> picks,
            Map<String, String> pins,
            Map<String, Double> looks,
            String part,
            int frame,
            Pose pose) {
        static Asked of(Character c, Optional<Playhead> playhead, Random random) {
            Map<String, Double> dials = new HashMap<>();
            c.controls().dials().forEach(d -> {
                if (random.nextInt(3) > 0) {
                    // sometimes beyond the ends, where it holds
                    dials.put(d.id(), d.from() + (1.1 * random.nextDouble() - 0.05) * (d.to() - d.from()));
                }
            });
            Map<String, Double> looks = new HashMap<>();
            c.library().looks().stream()
                    .filter(l -> random.nextInt(4) == 0)
                    .forEach(l -> looks.put(l.id(), random.nextDouble()));
            Map<String, String> picks = new HashMap<>();
            Map<String, String> pins = new HashMap<>();
            for (Part p : c.rig().parts()) {
                if (p.drawings().size() > 1 && random.nextInt(3) == 0) {
                    String drawing = p.drawings()
                            .get(random.nextInt(p.drawings().size()))
                            .id();
                    (random.nextBoolean() ? picks : pins).put(p.id(), drawing);
                }
            }
            List<Part> parts = c.rig().parts();
            return new Asked(
                    dials,
                    picks,
                    pins,
                    looks,
                    parts.get(random.nextInt(parts.size())).id(),
                    playhead.isPresent() ? random.nextInt(60) : 0,
                    new Pose(dials, picks, pins, Map.of()).withLooks(looks));
        }

        Pose pose(Optional<Playhead> playhead) {
            return playhead.map(p -> p.poseAt(frame, pose)).orElse(pose);
        }

        ObjectNode body(ObjectMapper json) {
            ObjectNode body = json.createObjectNode();
            body.set("pose", json.valueToTree(Map.of("dials", dials, "picks", picks, "pins", pins, "looks", looks)));
            body.put("part", part);
            body.put("frame", frame);
            return body;
        }
    }
}
