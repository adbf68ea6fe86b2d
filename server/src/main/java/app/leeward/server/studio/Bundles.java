package app.leeward.server.studio;

import app.leeward.core.edit.Edits;
import app.leeward.core.rig.Character;
import app.leeward.core.shot.Shot;
import app.leeward.formats.art.ArtProblem;
import app.leeward.formats.bundle.Bundle;
import app.leeward.formats.bundle.BundleReader;
import app.leeward.formats.export.ExportSource;
import app.leeward.server.store.DocumentKind;
import app.leeward.server.store.DocumentRow;
import app.leeward.server.store.Documents;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.data.domain.PageRequest;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Characters with all that belongs to them, on their way to another Leeward and from one. */
@Service
public class Bundles {
    private static final Logger LOG = LoggerFactory.getLogger(Bundles.class);
    private static final int MOST_SHOTS = 2_000;

    private final Characters characters;
    private final Lines lines;
    private final StoredImages images;
    private final Documents documents;

    Bundles(Characters characters, Lines lines, StoredImages images, Documents documents) {
        this.characters = characters;
        this.lines = lines;
        this.images = images;
        this.documents = documents;
    }

    /**
     * Takes in a bundle: all of it or nothing.
     *
     * @param name what the character is called here; null for what it is called in the bundle
     * @param ask whether a name that is taken is refused, for somebody to be asked; else it gets a number behind it
     * @throws Problem when something of it is missing, damaged or of a newer version; {@code name-taken} (409), with the name as its
     *     place, when somebody is to be asked
     */
    @Transactional
    public Snapshot<Character> take(UUID id, byte[] file, String fileName, String name, boolean ask, String author) {
        Bundle bundle = read(file);
        String wanted = name == null ? bundle.character().name() : name.strip();
        if (wanted.isEmpty() || wanted.length() > Edits.LONGEST_NAME) {
            throw Problem.refused("bad-name", "A name has 1 to " + Edits.LONGEST_NAME + " letters.");
        }
        if (ask && documents.existsByKindAndName(DocumentKind.CHARACTER, wanted)) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "name-taken",
                    wanted,
                    "A character called “" + wanted + "” is here already. Nothing was taken in.");
        }
        images.keep(bundle.images());
        Character named = bundle.character().withName(free(wanted));
        Snapshot<Character> begun = characters.begin(id, named, fileName, author);
        for (Shot s : bundle.shots()) {
            lines.begin(id, s, bundle.recordings(), author);
        }
        return begun;
    }

    private static Bundle read(byte[] file) {
        try {
            return BundleReader.read(file, property -> LOG.warn("A bundle has {}, which is left out", property));
        } catch (ArtProblem e) {
            throw new Problem(HttpStatus.UNPROCESSABLE_ENTITY, e.code(), e.place(), e.getMessage());
        }
    }

    /**
     * Takes in a bundle in place of the character of its name: that one becomes what is in the bundle, as an edit that can be undone. So do
     * its shots that are called alike; the others of the bundle are added, and the others here stay.
     *
     * @throws Problem as {@link #take}; {@code name-ambiguous} (409) when several characters are called so, 404 when none is
     */
    @Transactional
    public Snapshot<Character> takeInPlace(byte[] file, String fileName, String author) {
        Bundle bundle = read(file);
        String name = bundle.character().name();
        List<DocumentRow> there = documents.named(DocumentKind.CHARACTER, name);
        if (there.size() > 1) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "name-ambiguous",
                    name,
                    there.size() + " characters are called “" + name
                            + "”. Rename the others first, or import it beside them.");
        }
        UUID id = there.stream().map(DocumentRow::getId).findFirst().orElseThrow(() -> Problem.notThere("character"));
        images.keep(bundle.images());
        Snapshot<Character> now = characters.replace(id, bundle.character(), fileName, author);
        List<DocumentRow> here = new ArrayList<>(documents
                .of(DocumentKind.SHOT, id, PageRequest.of(0, MOST_SHOTS))
                .getContent());
        for (Shot s : bundle.shots()) {
            Optional<DocumentRow> alike =
                    here.stream().filter(d -> d.name().equals(s.name())).findFirst();
            if (alike.isPresent()) {
                // of several that are called alike each is met once, in their order
                here.remove(alike.get());
                lines.replace(alike.get().getId(), s, bundle.recordings(), author);
            } else {
                lines.begin(id, s, bundle.recordings(), author);
            }
        }
        return now;
    }

    /** A copy of a character with all its shots, with a number behind its name; what is done to one does not show on the other. */
    @Transactional
    public Snapshot<Character> duplicate(UUID id, UUID copy, String author) {
        Character now = characters.snapshot(id).state();
        Snapshot<Character> begun = characters.begin(copy, now.withName(free(now.name())), now.name(), author);
        of(id).shots().forEach(s -> lines.copyTo(copy, s, author));
        return begun;
    }

    private String free(String name) {
        String now = name;
        for (int n = 2; documents.existsByKindAndName(DocumentKind.CHARACTER, now); n++) {
            String number = " " + n;
            now = name.substring(0, Math.min(name.length(), Edits.LONGEST_NAME - number.length())) + number;
        }
        return now;
    }

    /** Everything that belongs to a character. */
    public ExportSource.Everything of(UUID character) {
        List<Shot> shots = documents
                .of(DocumentKind.SHOT, character, PageRequest.of(0, MOST_SHOTS))
                .map(DocumentRow::getId)
                .map(id -> lines.snapshot(id).state())
                .toList();
        return new ExportSource.Everything(shots, lines::wavOf, lines::spoken);
    }
}
