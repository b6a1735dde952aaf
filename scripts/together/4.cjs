require("./group.cjs")(3);
