package app.leeward.core.edit;

/** Changes what is kept by name: looks, cues, kits, runs, and the keys that show drawings. */
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
                SetKey {}
