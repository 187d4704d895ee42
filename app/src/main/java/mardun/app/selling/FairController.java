package mardun.app.selling;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import java.util.List;
import mardun.app.selling.FairView.NewFair;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/fairs")
@Tag(name = "fairs")
class FairController {

    private final FairService fairs;

    FairController(FairService fairs) {
        this.fairs = fairs;
    }

    @GetMapping
    List<FairView> listFairs() {
        return fairs.coming();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    FairView createFair(@RequestBody @Valid NewFair form) {
        return fairs.create(form);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeFair(@PathVariable long id) {
        fairs.remove(id);
    }
}
