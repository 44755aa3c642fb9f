package org.nineveils.app.base.web;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.view;

import java.util.function.Supplier;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.nineveils.app.base.fault.Conflict;
import org.nineveils.app.base.fault.DiskFull;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.document.DocumentException;
import org.nineveils.refusal.Refusal;
import org.nineveils.stack.Cancelled;
import org.springframework.stereotype.Controller;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

class ErrorAdviceTest {
  /** An inner class, so that the running application of other tests does not find it. */
  @Controller
  class Probe {
    @SuppressWarnings("DirectInvocationOnMock") // stands for what a controller would call
    @GetMapping({"/api/probe", "/probe"})
    @ResponseBody
    String probe(@RequestParam(name = "n", defaultValue = "1") int n) {
      return work.get() + n;
    }
  }

  @SuppressWarnings("unchecked")
  private final Supplier<String> work = mock(Supplier.class);

  private MockMvc mvc;

  @BeforeEach
  void setUp() {
    mvc =
        MockMvcBuilders.standaloneSetup(new Probe())
            .setControllerAdvice(new ErrorAdvice(new org.nineveils.app.base.memory.Budget(1)))
            .build();
  }

  @Test
  void aFaultOfADocumentIs422WithItsSentence() throws Exception {
    when(work.get()).thenThrow(new DocumentException("The effect has no “edition”."));
    mvc.perform(get("/api/probe"))
        .andExpect(status().is(422))
        .andExpect(content().string(containsString("The effect has no “edition”.")));
  }

  @Test
  void aConflictIs409AndAThingThatIsGone404() throws Exception {
    when(work.get()).thenThrow(Conflict.stale("“Milk”")).thenThrow(new NotFound("Gone."));
    mvc.perform(get("/api/probe"))
        .andExpect(status().isConflict())
        .andExpect(content().string(containsString("another window")));
    mvc.perform(get("/api/probe")).andExpect(status().isNotFound());
  }

  /** A rule's own refusal is shown; a library's exception of the same family is a fault of ours. */
  @Test
  void aRefusalIsToldApartFromALibrarysIllegalArgument() throws Exception {
    when(work.get())
        .thenThrow(new Refusal("A kit needs a name."))
        .thenThrow(new IllegalArgumentException("No enum constant org.secret.Thing"));
    mvc.perform(get("/api/probe"))
        .andExpect(status().is(422))
        .andExpect(content().string(containsString("A kit needs a name.")));
    mvc.perform(get("/api/probe"))
        .andExpect(status().is(500))
        .andExpect(content().string(org.hamcrest.Matchers.not(containsString("secret"))));
  }

  @Test
  void whatTheMachineLacksIsSaidInWords() throws Exception {
    when(work.get())
        .thenThrow(new OutOfMemoryError("Java heap space"))
        .thenThrow(new DiskFull(34L << 20, 2L << 20))
        .thenThrow(
            new java.io.UncheckedIOException(new java.io.IOException("No space left on device")))
        .thenThrow(new IllegalStateException("[SQLITE_BUSY] The database file is locked"));
    mvc.perform(get("/api/probe"))
        .andExpect(status().is(503))
        .andExpect(content().string(containsString("not enough memory")));
    mvc.perform(get("/api/probe"))
        .andExpect(status().is(507))
        .andExpect(content().string(containsString("The disk is full: 34 MB are needed")));
    mvc.perform(get("/api/probe"))
        .andExpect(status().is(507))
        .andExpect(content().string(containsString("The disk is full")));
    mvc.perform(get("/api/probe"))
        .andExpect(status().is(503))
        .andExpect(content().string(containsString("Another program holds the database")));
  }

  @Test
  void anUnexpectedFaultShowsNothingOfTheInside() throws Exception {
    when(work.get()).thenThrow(new IllegalStateException("table kit_secret is locked"));
    mvc.perform(get("/api/probe"))
        .andExpect(status().isInternalServerError())
        .andExpect(content().string(not(containsString("kit_secret"))))
        .andExpect(content().string(not(containsString("IllegalState"))))
        .andExpect(content().string(containsString("What was saved before is safe")));
  }

  @Test
  void peopleGetAPageAndScriptsGetJson() throws Exception {
    when(work.get()).thenThrow(new NotFound("Gone."));
    mvc.perform(get("/probe"))
        .andExpect(status().isNotFound())
        .andExpect(view().name("base/web/fault"));
  }

  @Test
  void aCancelledPictureIsNoFault() throws Exception {
    when(work.get()).thenThrow(new Cancelled());
    mvc.perform(get("/api/probe")).andExpect(status().isNoContent());
  }

  @Test
  void aParameterThatIsNoNumberIs400() throws Exception {
    mvc.perform(get("/api/probe?n=many"))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("nothing was changed")));
  }
}
