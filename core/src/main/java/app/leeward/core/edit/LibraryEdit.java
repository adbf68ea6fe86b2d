package app.leeward.core.edit;

/** Changes what is kept by name: looks, cues, kits, runs, the keys that show drawings, and what was said about findings. */
public sealed interface LibraryEdit extends Edit
        permits MakeLooks,
                KeepLook,
                NameLook,
                DropLook,
                MakeCues,
                SetCue,
                DropCue,
                KeepKit,
                NameKit,
                DropKit,
                ShowKit,
                KeyKit,
                KeepRun,
                DropRun,
                KeyRun,
                SetKey,
                AcceptFinding,
                ReopenFinding {}
