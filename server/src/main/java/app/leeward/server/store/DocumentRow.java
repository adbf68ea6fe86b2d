package app.leeward.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** A character or a shot, and where its newest revision is. */
@Entity
@Table(name = "document")
public class DocumentRow implements Persistable<UUID> {
    @Id
    private UUID id;

    @Enumerated(EnumType.STRING)
    private DocumentKind kind;

    @Column(name = "belongs_to")
    private UUID belongsTo;

    private String name;
    private int head;

    @Column(name = "created_at")
    private Instant createdAt;

    @Column(name = "changed_at")
    private Instant changedAt;

    /** When it was put away; null while it is there. Set by {@link Documents} alone. */
    @Column(name = "put_away", insertable = false, updatable = false)
    private Instant putAway;

    @jakarta.persistence.Transient
    private boolean fresh;

    protected DocumentRow() {}

    public DocumentRow(UUID id, DocumentKind kind, UUID belongsTo, String name, Instant now) {
        this.id = id;
        this.kind = kind;
        this.belongsTo = belongsTo;
        this.name = name;
        this.head = 0;
        this.createdAt = now;
        this.changedAt = now;
        this.fresh = true;
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return fresh;
    }

    public DocumentKind kind() {
        return kind;
    }

    public UUID belongsTo() {
        return belongsTo;
    }

    public String name() {
        return name;
    }

    public int head() {
        return head;
    }

    public Instant createdAt() {
        return createdAt;
    }

    public Instant changedAt() {
        return changedAt;
    }

    /** Points to a revision just added. */
    public void advance(int number, String newName, Instant now) {
        head = number;
        name = newName;
        changedAt = now;
    }
}
