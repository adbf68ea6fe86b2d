package app.leeward.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.springframework.data.domain.Persistable;

/**
 * A file that is asked for, of a character and a shot as they stood, and what became of it. Its state changes by the statements of
 * {@link Exports} only.
 */
@Entity
@Table(name = "export")
public class ExportRow implements Persistable<UUID> {
    @Id
    private UUID id;

    private UUID character;
    private int revision;
    private UUID shot;

    @Column(name = "shot_revision")
    private Integer shotRevision;

    @JdbcTypeCode(SqlTypes.JSON)
    private String asked;

    private String label;

    @Column(name = "file_name")
    private String fileName;

    @Column(name = "media_type")
    private String mediaType;

    private int frames;
    private String author;
    private String client;

    @Column(name = "asked_at")
    private Instant askedAt;

    @Enumerated(EnumType.STRING)
    private ExportState state;

    private double share;
    private long bytes;

    @JdbcTypeCode(SqlTypes.JSON)
    private String problem;

    @Column(name = "ended_at")
    private Instant endedAt;

    @Transient
    private boolean stored;

    protected ExportRow() {}

    /**
     * @param asked what exactly, as JSON
     * @param frames how many frames are drawn for it; 0 for none
     */
    public ExportRow(UUID id, UUID character, int revision, String asked, int frames) {
        this.id = id;
        this.character = character;
        this.revision = revision;
        this.asked = asked;
        this.frames = frames;
        this.state = ExportState.WAITING;
    }

    public ExportRow ofShot(UUID which, int atRevision) {
        this.shot = which;
        this.shotRevision = atRevision;
        return this;
    }

    /** @param what the words for what it is */
    public ExportRow named(String what, String file, String type) {
        this.label = what;
        this.fileName = file;
        this.mediaType = type;
        return this;
    }

    /** @param ofClient whose turn it counts as */
    public ExportRow askedBy(String by, String ofClient, Instant at) {
        this.author = by;
        this.client = ofClient;
        this.askedAt = at;
        return this;
    }

    @PostLoad
    @PostPersist
    void nowStored() {
        stored = true;
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return !stored;
    }

    public UUID character() {
        return character;
    }

    /** The character's revision it is made of. */
    public int revision() {
        return revision;
    }

    /** The shot it is made of or shows; null for none. */
    public UUID shot() {
        return shot;
    }

    /** Null without a shot. */
    public Integer shotRevision() {
        return shotRevision;
    }

    public String asked() {
        return asked;
    }

    public String label() {
        return label;
    }

    public String fileName() {
        return fileName;
    }

    public String mediaType() {
        return mediaType;
    }

    public Instant askedAt() {
        return askedAt;
    }

    public ExportState state() {
        return state;
    }

    /** How much of it is done, 0 to 1. */
    public double share() {
        return share;
    }

    /** How long the file is; 0 while it is not there. */
    public long bytes() {
        return bytes;
    }

    /** Why it was refused, as JSON; null while it was not. */
    public String problem() {
        return problem;
    }
}
