package app.leeward.core.edit;

/** Changes mouths and what they say. */
public sealed interface MouthEdit extends Edit
        permits ServeSound,
                Pronounce,
                TeachWords,
                ForgetWord,
                MakeMouths,
                SetMood,
                DropMood,
                ThinMouths,
                MendMouth,
                LeadInto {}
