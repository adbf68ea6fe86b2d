package app.leeward.server.store;

import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** All artwork. */
public interface Artworks extends JpaRepository<ArtworkRow, String> {
    /** Keeps artwork unless it is there already; two uploads of the same file at once do no harm. */
    @Modifying
    @Query(
            value = "insert into artwork (hash, shapes) values (:hash, :shapes) on conflict do nothing",
            nativeQuery = true)
    void keep(String hash, String shapes);
}
