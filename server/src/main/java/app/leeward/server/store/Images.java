package app.leeward.server.store;

import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** All pictures made of pixels. */
public interface Images extends JpaRepository<ImageRow, String> {
    /** Keeps a picture unless it is there already. */
    @Modifying
    @Query(value = "insert into image (hash, png) values (:hash, :png) on conflict do nothing", nativeQuery = true)
    void keep(String hash, byte[] png);
}
