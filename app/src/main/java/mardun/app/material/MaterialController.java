package mardun.app.material;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.Optional;
import mardun.app.material.MaterialView.MovementView;
import mardun.app.show.PageView;
import mardun.core.material.MaterialKind;
import org.springframework.http.HttpStatus;
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

    MaterialController(MaterialService materials) {
        this.materials = materials;
    }

    @GetMapping
    PageView<MaterialView> listMaterials(
            @RequestParam Optional<MaterialKind> kind,
            @RequestParam(defaultValue = "") String query,
            @RequestParam(defaultValue = "false") boolean low,
            @RequestParam(defaultValue = "0") @Min(0) int page,
            @RequestParam(defaultValue = "200") @Min(1) @Max(PageView.LARGEST) int size) {
        return materials.list(kind, query, low, page, size);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    MaterialView createMaterial(@RequestBody @Valid MaterialForm form) {
        return materials.create(form);
    }

    @GetMapping("/{id}")
    MaterialView readMaterial(@PathVariable long id) {
        return materials.get(id);
    }

    @PutMapping("/{id}")
    MaterialView changeMaterial(@PathVariable long id, @RequestBody @Valid MaterialForm form) {
        return materials.change(id, form);
    }

    @GetMapping("/{id}/movements")
    PageView<MovementView> listMovements(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") @Min(0) int page,
            @RequestParam(defaultValue = "50") @Min(1) @Max(PageView.LARGEST) int size) {
        return materials.movements(id, page, size);
    }
}
