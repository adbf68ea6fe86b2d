package app.leeward.server.store;

import jakarta.persistence.LockModeType;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** All documents. */
public interface Documents extends JpaRepository<DocumentRow, UUID> {
    /** Held until the transaction ends, so that revisions get consecutive numbers. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select d from DocumentRow d where d.id = :id")
    Optional<DocumentRow> lock(UUID id);

    /** Without a transaction of its own: one question to the database, for what is asked with every pose. */
    @Query("select d from DocumentRow d where d.id = :id")
    Optional<DocumentRow> peek(UUID id);

    @Query("select d from DocumentRow d where d.kind = :kind order by d.createdAt, d.id")
    Page<DocumentRow> all(DocumentKind kind, Pageable page);

    @Query("select d from DocumentRow d where d.kind = :kind and d.belongsTo = :owner order by d.createdAt, d.id")
    Page<DocumentRow> of(DocumentKind kind, UUID owner, Pageable page);

    boolean existsByKindAndName(DocumentKind kind, String name);
}
