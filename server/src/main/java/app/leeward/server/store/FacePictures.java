package app.leeward.server.store;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

/** Pictures of heads, one a character. */
public interface FacePictures extends JpaRepository<FaceRow, UUID> {
    /** @param form by which rules it was drawn: another one is drawn anew */
    Optional<FaceRow> findByCharacterAndRevisionAndForm(UUID character, int revision, int form);

    /** Keeps a picture in the place of an older one. */
    @Modifying
    @Transactional
    @Query(
            nativeQuery = true,
            value =
                    """
                    insert into face (character, revision, form, png) values (:character, :revision, :form, :png)
                    on conflict (character) do update set revision = :revision, form = :form, png = :png
                      where face.revision <= :revision""")
    void keep(UUID character, int revision, int form, byte[] png);
}
