package mardun.app.material;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.io.IOException;
import java.io.InputStream;
import java.util.Optional;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialView.MovementView;
import mardun.app.picture.Pictures;
import mardun.app.request.PutAway;
import mardun.app.show.PageView;
import mardun.core.material.MaterialKind;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/materials")
@Tag(name = "materials")
class MaterialController {

    private final MaterialService materials;
    private final MaterialPhotos photos;
    private final MaterialRemoval removal;

    MaterialController(MaterialService materials, MaterialPhotos photos, MaterialRemoval removal) {
        this.materials = materials;
        this.photos = photos;
        this.removal = removal;
    }

    @GetMapping
    PageView<MaterialView> listMaterials(
            @RequestParam Optional<MaterialKind> kind,
            @RequestParam(defaultValue = "") String query,
            @RequestParam(defaultValue = "false") boolean low,
            @RequestParam Optional<Boolean> putAway,
            @RequestParam(defaultValue = "0") @Min(0) @Max(PageView.LAST) int page,
            @RequestParam(defaultValue = "200") @Min(1) @Max(PageView.LARGEST) int size) {
        return materials.list(kind, query, low, putAway, page, size);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    MaterialView createMaterial(@RequestBody @Valid MaterialForm form) {
        return materials.create(form);
    }

    /** Enters a material that isn't there yet, as shops usually sell it. */
    @PostMapping("/named")
    @ResponseStatus(HttpStatus.CREATED)
    MaterialView nameMaterial(@RequestBody @Valid NamedMaterial form) {
        return materials.name(form);
    }

    @GetMapping("/{id}")
    MaterialView readMaterial(@PathVariable MaterialId id) {
        return materials.get(id);
    }

    @PutMapping("/{id}")
    MaterialView changeMaterial(@PathVariable MaterialId id, @RequestBody @Valid MaterialForm form) {
        return materials.change(id, form);
    }

    @PutMapping("/{id}/put-away")
    MaterialView putMaterialAway(@PathVariable MaterialId id, @RequestBody @Valid PutAway form) {
        return materials.putAway(id, form);
    }

    /** Removes a material that was never used. */
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeMaterial(@PathVariable MaterialId id, @RequestParam long version) {
        removal.remove(id, version);
    }

    @GetMapping("/{id}/movements")
    PageView<MovementView> listMovements(
            @PathVariable MaterialId id,
            @RequestParam(defaultValue = "0") @Min(0) @Max(PageView.LAST) int page,
            @RequestParam(defaultValue = "50") @Min(1) @Max(PageView.LARGEST) int size) {
        return materials.movements(id, page, size);
    }

    /** A photo as a file. */
    @GetMapping("/{id}/photo")
    ResponseEntity<byte[]> readPhoto(@PathVariable MaterialId id) {
        return photos.get(id);
    }

    @PutMapping(path = "/{id}/photo", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    MaterialView changePhoto(@PathVariable MaterialId id, @RequestParam long version, InputStream file)
            throws IOException {
        return photos.put(id, version, file.readNBytes(Pictures.MOST_BYTES + 1));
    }

    @DeleteMapping("/{id}/photo")
    MaterialView removePhoto(@PathVariable MaterialId id, @RequestParam long version) {
        return photos.remove(id, version);
    }
}
