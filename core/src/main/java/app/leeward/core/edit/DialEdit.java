package app.leeward.core.edit;

/** Changes dials and what is recorded at their stops. */
public sealed interface DialEdit extends Edit
        permits MakeDial,
                DropDial,
                NewDial,
                ChangeDial,
                SetDial,
                HangDial,
                Record,
                Forget,
                MoveStop,
                CopyStop,
                MirrorStop,
                DropStop,
                MoveBandEdge,
                SplitDial,
                JoinDials,
                EaseStop,
                TravelBy,
                FollowDial,
                Unfollow,
                RecordCorner,
                ForgetCorner,
                PullPoint,
                LinkSignal,
                UnlinkSignal,
                SuggestLinks {}
