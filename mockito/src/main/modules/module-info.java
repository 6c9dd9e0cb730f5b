/** Mocks of a rig, made by Mockito. */
module dev.patientharbor.mockito {
    requires dev.patientharbor.rig;
    requires org.mockito;

    provides dev.patientharbor.standins.StandInMaker with
            dev.patientharbor.mockito.MockitoMaker;
}
