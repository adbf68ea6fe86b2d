package app.leeward.bench.attack;

import app.leeward.core.art.Artwork;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Outcome;
import app.leeward.core.rig.Character;
import app.leeward.formats.json.ArtworkStore;
import app.leeward.formats.json.LeewardJson;
import app.leeward.formats.json.StoredJson;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * What the database holds after chaos: every acknowledged change under the number it was acknowledged with, no number left
 * out or given twice, no change made twice, and every state what replaying the changes before it gives.
 */
final class Aftermath {
    private static final ObjectMapper PLAIN = new ObjectMapper();

    private final Studio studio;
    private final List<String> characters;
    private final List<Acknowledged> acknowledged;

    /** @param edit as it was sent; missing for undo and redo */
    record Acknowledged(String character, int revision, String action, JsonNode edit) {}

    private record Row(int number, String action, int schema, String edit, String state) {}

    Aftermath(Studio studio, List<String> characters, List<Acknowledged> acknowledged) {
        this.studio = studio;
        this.characters = characters;
        this.acknowledged = List.copyOf(acknowledged);
    }

    String told() throws Exception {
        int revisions = 0;
        try (Connection connection = studio.connect()) {
            StoredJson json = new StoredJson(shelf(connection), unknown -> {
                throw new IllegalStateException("stored data has " + unknown);
            });
            for (String character : characters) {
                List<Row> rows = rows(connection, character);
                requireUnbroken(connection, character, rows);
                requireAcknowledged(character, rows);
                replay(character, rows, json);
                revisions += rows.size();
            }
        }
        return revisions + " revisions, none missing, none doubled, each the replay of those before it";
    }

    private static List<Row> rows(Connection connection, String character) throws SQLException {
        List<Row> rows = new ArrayList<>();
        try (PreparedStatement ask = connection.prepareStatement(
                "select number, action, schema, edit, state from revision where document = ? order by number")) {
            ask.setObject(1, UUID.fromString(character));
            try (ResultSet r = ask.executeQuery()) {
                while (r.next()) {
                    rows.add(new Row(r.getInt(1), r.getString(2), r.getInt(3), r.getString(4), r.getString(5)));
                }
            }
        }
        return rows;
    }

    private static void requireUnbroken(Connection connection, String character, List<Row> rows) throws SQLException {
        for (int i = 0; i < rows.size(); i++) {
            require(rows.get(i).number() == i + 1, character, "revision " + (i + 1) + " is missing or doubled");
        }
        try (PreparedStatement ask = connection.prepareStatement("select head from document where id = ?")) {
            ask.setObject(1, UUID.fromString(character));
            try (ResultSet r = ask.executeQuery()) {
                r.next();
                require(r.getInt(1) == rows.size(), character, "the newest revision is not the last one");
            }
        }
    }

    private void requireAcknowledged(String character, List<Row> rows) throws Exception {
        Set<Integer> numbers = new HashSet<>();
        for (Acknowledged a : acknowledged) {
            if (!a.character().equals(character)) {
                continue;
            }
            require(numbers.add(a.revision()), character, "revision " + a.revision() + " was acknowledged twice");
            require(a.revision() <= rows.size(), character, "acknowledged revision " + a.revision() + " is lost");
            Row row = rows.get(a.revision() - 1);
            require(row.action().equals(a.action()), character, "revision " + a.revision() + " is another change");
            require(
                    a.edit().isMissingNode() || PLAIN.readTree(row.edit()).equals(a.edit()),
                    character,
                    "revision " + a.revision() + " is another edit than was acknowledged");
        }
        Set<String> edits = new HashSet<>();
        for (Row row : rows) {
            require(
                    row.edit() == null || edits.add(row.edit()),
                    character,
                    "revision " + row.number() + " makes an edit a second time");
        }
    }

    private static void replay(String character, List<Row> rows, StoredJson json) throws Exception {
        Character now = json.read(rows.get(0).schema(), rows.get(0).state(), Character.class);
        Deque<Character> back = new ArrayDeque<>();
        Deque<Character> ahead = new ArrayDeque<>();
        for (Row row : rows.subList(1, rows.size())) {
            switch (row.action()) {
                case "EDIT" -> {
                    back.push(now);
                    ahead.clear();
                    Outcome outcome = Edits.apply(now, json.read(row.schema(), row.edit(), Edit.class));
                    require(
                            outcome instanceof Outcome.Done,
                            character,
                            "revision " + row.number() + " cannot be made again");
                    now = ((Outcome.Done) outcome).character();
                }
                case "UNDO" -> {
                    ahead.push(now);
                    now = back.pop();
                }
                default -> {
                    back.push(now);
                    now = ahead.pop();
                }
            }
            require(
                    PLAIN.readTree(row.state()).equals(PLAIN.readTree(json.write(Character.class, now))),
                    character,
                    "revision " + row.number() + " is not what its edits make");
        }
    }

    private static ArtworkStore shelf(Connection connection) throws SQLException {
        Map<String, Artwork> byHash = new HashMap<>();
        Map<Artwork, String> hashes = new java.util.IdentityHashMap<>();
        try (ResultSet r = connection.createStatement().executeQuery("select hash, shapes from artwork")) {
            while (r.next()) {
                Artwork art = LeewardJson.artwork(r.getString(2));
                byHash.put(r.getString(1), art);
                hashes.put(art, r.getString(1));
            }
        }
        return new ArtworkStore() {
            @Override
            public Optional<String> known(Artwork art) {
                return Optional.ofNullable(hashes.get(art));
            }

            @Override
            public void put(Artwork art, String hash, String text) {
                byHash.put(hash, art);
                hashes.put(art, hash);
            }

            @Override
            public Artwork get(String hash) {
                return byHash.get(hash);
            }
        };
    }

    private static void require(boolean holds, String character, String message) {
        if (!holds) {
            throw new IllegalStateException("character " + character + ": " + message);
        }
    }
}
